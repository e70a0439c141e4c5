import { percentile } from './shop.mjs';

/** A book of many jobs with many revisions each, put straight into the database; how heavy and how quick its first page is. */
export const longList = async (shop, design, { jobs = 1000, revisions = 12 } = {}) => {
  const made = await shop.newJob('Pattern', design);
  const other = new shop.pg.Client({ connectionString: shop.databaseUrl });
  await other.connect();
  // The picture and figures of the pattern follow its save.
  for (let turn = 0; turn < 100; turn += 1) {
    const { rows } = await other.query('select 1 from jobs where id = $1 and summary is not null', [made.id]);
    if (rows.length > 0) break;
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  await other.query(
    `insert into jobs (name, customer, head_revision, summary, summary_of, picture)
     select 'Job ' || n, customer, $2, summary, $2, picture from jobs, generate_series(1, $3) as n where id = $1`,
    [made.id, revisions, jobs],
  );
  await other.query(
    `insert into revisions (job_id, number, hash, design)
     select jobs.id, n, md5(jobs.id::text || n), pattern.design from jobs, generate_series(1, $2::int) as n,
       (select design from revisions where job_id = $1 limit 1) as pattern
     where jobs.name like 'Job %'`,
    [made.id, revisions],
  );
  await other.query('analyze');
  await other.end();
  const times = [];
  let bytes = 0;
  for (let turn = 0; turn < 40; turn += 1) {
    const { ms, text } = await shop.ask('GET', '/api/jobs');
    times.push(ms);
    bytes = Buffer.byteLength(text);
  }
  return { jobs, revisions: jobs * revisions, bytes, p50: percentile(times, 50) };
};
