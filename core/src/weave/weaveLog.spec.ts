import { weaveRecord } from './weaveLog';

test('a log tells how many weaves were clean, how many running, and where slips came', () => {
  const clean = { size: 52, faults: 0, slips: [] };
  const record = weaveRecord([clean, clean, { size: 52, faults: 3, slips: [2, 14, 52] }, clean]);
  expect([record.weaves, record.clean, record.running]).toEqual([4, 3, 2]);
  expect(record.bins).toHaveLength(13);
  expect(record.bins.flatMap(({ slips }, index) => (slips > 0 ? [[index, slips]] : []))).toEqual([
    [0, 1],
    [3, 1],
    [12, 1],
  ]);
  expect(record.bins[3]).toEqual({ from: 13, to: 16, slips: 1 });
  // Half-way in a pack of any size is half-way in the picture.
  expect(weaveRecord([{ size: 26, faults: 1, slips: [14] }]).bins[6].slips).toBe(1);
  expect(weaveRecord([])).toMatchObject({ weaves: 0, clean: 0, running: 0 });
  expect(weaveRecord([clean]).running).toBe(1);
});
