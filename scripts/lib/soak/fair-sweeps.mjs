import { setTimeout as pause } from 'node:timers/promises';

/** Sixty sweeps of twenty thousand points, of fifteen people; beside them short ones, and how long each of those takes (ms). */
export const fairSweeps = async (shop, design, faces, { turns = 6 } = {}) => {
  const plan = (depths, rows) => ({
    assembly: 0,
    depthsMm: Array.from({ length: depths }, (_, at) => 40 + (at * 100) / depths),
    rowCounts: Array.from({ length: rows }, (_, at) => at + 2),
    faces: faces.slice(0, 1),
    liningIds: ['matt-white'],
  });
  const begin = async (axes, person) => {
    const { status, text } = await shop.ask('POST', '/api/sweeps', JSON.stringify({ design, plan: axes }), {
      'x-forwarded-for': person,
    });
    if (status !== 202) throw new Error(`a sweep was answered ${status}: ${text}`);
    return JSON.parse(text).id;
  };
  const stands = async (id) => JSON.parse((await shop.ask('GET', `/api/sweeps/${id}`)).text);
  const untilDone = async (id) => {
    const begun = performance.now();
    while ((await stands(id)).status !== 'done') await pause(50);
    return performance.now() - begun;
  };
  // A worker that has just started reads its fonts first.
  await untilDone(await begin(plan(1, 1), '10.0.0.1'));
  const long = [];
  for (let at = 0; at < 60; at += 1) long.push(await begin(plan(2000, 10), `10.0.1.${at % 15}`));
  const refused = await shop
    .ask('POST', '/api/sweeps', JSON.stringify({ design, plan: plan(2000, 10) }), { 'x-forwarded-for': '10.0.1.1' })
    .then(({ status }) => status);
  await pause(3000);
  const took = [];
  for (let turn = 0; turn < turns; turn += 1) took.push(await untilDone(await begin(plan(5, 2), `10.0.2.${turn}`)));
  const begunOf = await Promise.all(long.map(stands));
  return { took, refused, begun: begunOf.filter(({ done }) => done > 0).length };
};
