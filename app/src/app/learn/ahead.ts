import { createEnvironmentInjector, EnvironmentInjector, Injector } from '@angular/core';
import { SampleLearning } from '../nouns/learning/sample-learning';

/** Lays the sample practice out before the room is opened: to make three weeks of answers takes its time. */
export const learnAhead = async (injector: Injector): Promise<void> => {
  const own = createEnvironmentInjector([SampleLearning], injector.get(EnvironmentInjector));
  try {
    await own.get(SampleLearning).layOut();
  } finally {
    own.destroy();
  }
};
