import { describe, expect, it } from '@jest/globals';
import { shippedCatalogue, type ComparedWay, type Design } from '@vitrum/core';
import { fakeLight } from '../testing/fake-clients';
import { compare } from './compare';

const design = { name: 'x' } as unknown as Design;
const ways = [{ label: 'one', change: [] }];
const way = (label: string): ComparedWay => ({ label, isNow: false, figures: {}, amiss: null });

const begin = () => {
  const light = fakeLight();
  const heard: (readonly [string, boolean])[] = [];
  const callOff = compare(
    shippedCatalogue,
    design,
    0,
    ways,
    (seen, done) => heard.push([seen.map(({ label }) => label).join(), done]),
    light.client,
  );
  return { light, heard, callOff };
};

describe('ways beside one another on the page', () => {
  it('are told as they come, and once when all are there', () => {
    const { light, heard } = begin();
    light.answer('compare', { kind: 'compared', ways: [way('a')], done: false });
    light.answer('compare', { kind: 'compared', ways: [way('a'), way('b')], done: true });
    expect(heard).toEqual([
      ['a', false],
      ['a,b', true],
    ]);
  });

  it('are called off with the page that asked', () => {
    const { light, heard, callOff } = begin();
    callOff();
    light.answer('compare', { kind: 'compared', ways: [way('a')], done: true });
    expect(heard).toEqual([]);
    expect(light.kinds().at(-1)).toBe('cancel');
  });

  it('end with what there was where the thread fails', () => {
    const { light, heard } = begin();
    light.answer('compare', { kind: 'compared', ways: [way('a')], done: false });
    light.fail('out of memory');
    expect(heard.at(-1)).toEqual(['a', true]);
  });
});
