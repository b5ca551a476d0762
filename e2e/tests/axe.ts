import { Page } from '@playwright/test';
import axe, { AxeResults, RunOptions } from 'axe-core';

const OPTIONS: RunOptions = { resultTypes: ['violations'] };

/**
 * What axe finds wrong in a part of the page, each as its rule and where it is broken. Axe is laid into the page once,
 * however many views are gone through.
 */
export const faultsIn = async (
  page: Page,
  within: string,
  options: RunOptions = OPTIONS,
): Promise<readonly string[]> => {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
  return page.evaluate(
    async ([part, asked]) => {
      const { run } = (window as unknown as { axe: { run: (...asked: unknown[]) => Promise<AxeResults> } })
        .axe;
      const { violations } = await run(part, asked);
      return violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html).join('\n')}`);
    },
    [within, options] as const,
  );
};
