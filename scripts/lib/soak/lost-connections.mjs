import { setTimeout as pause } from 'node:timers/promises';

/** Saves while every connection to the database is ended again and again, and the server killed now and then. */
export const lostConnections = async (shop, design, { kills = 100, servers = 5, people = 6 } = {}) => {
  const other = new shop.pg.Client({ connectionString: shop.databaseUrl });
  await other.connect();
  const jobs = [];
  for (let person = 0; person < people; person += 1) jobs.push(await shop.newJob(`Lost ${person}`, design));
  let over = false;
  const tell = { saved: 0, away: 0, failed: [] };
  const acknowledged = jobs.map(() => []);
  const work = async ({ id, head }, person) => {
    let basedOn = head.hash;
    for (let turn = 0; !over; turn += 1) {
      const { status, text } = await shop.save(id, { ...design, name: `${person} ${turn}` }, basedOn);
      if (status === 200) {
        basedOn = JSON.parse(text).hash;
        acknowledged[person].push(basedOn);
        tell.saved += 1;
      } else if (status === 409) basedOn = JSON.parse(text).head.hash;
      else if (status === 503 || status === 0) {
        tell.away += 1;
        await pause(50);
      } else tell.failed.push(status);
    }
  };
  const working = jobs.map(work);
  const each = Math.ceil(kills / (servers + 1));
  for (let kill = 1; kill <= kills; kill += 1) {
    await other.query(
      'select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and pid <> pg_backend_pid()',
    );
    await pause(50 + Math.random() * 500);
    if (kill % each === 0 && servers > 0) {
      await shop.kill();
      await shop.start();
    }
  }
  over = true;
  await Promise.all(working);
  let lost = 0;
  for (const [person, { id }] of jobs.entries()) {
    const kept = await other.query('select hash from revisions where job_id = $1', [id]);
    const hashes = new Set(kept.rows.map(({ hash }) => hash));
    lost += acknowledged[person].filter((hash) => !hashes.has(hash)).length;
  }
  await other.end();
  return { ...tell, kills, lost };
};
