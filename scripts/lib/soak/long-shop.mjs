import { percentile } from './shop.mjs';

/** Rows of a shop that has been at it for years, put straight into the database. */
const fill = async (db, pattern, { jobs, atHand, lots, entries, notes }) => {
  await db.query(
    `insert into jobs (name, customer, status, head_revision, summary, summary_of, picture, needs, work, handed_over_on, created_at)
     select 'Job ' || n, 'Customer ' || n % 900, case when n <= $3 then 'designed' else 'delivered' end, 1, summary, 1, picture,
       needs, work, case when n <= $3 then null else current_date - n % 700 end, now() - n * interval '1 minute'
     from jobs, generate_series(1, $2::int) as n where id = $1`,
    [pattern, jobs, atHand],
  );
  await db.query(
    `insert into revisions (job_id, number, hash, design)
     select jobs.id, 1, md5(jobs.id::text), design from jobs, (select design from revisions where job_id = $1 limit 1) as own
     where jobs.id <> $1`,
    [pattern],
  );
  await db.query(
    `insert into stock_lots (id, kind, line_id, form, amount, made_at)
     select gen_random_uuid(), need ->> 'kind', need ->> 'lineId', need ->> 'form', 5, now() - n * interval '1 hour'
     from generate_series(1, $2::int) as n, lateral (
       select value as need from jobs, json_array_elements(needs) where id = $1 order by md5(n::text || value::text) limit 1) as own`,
    [pattern, lots],
  );
  await db.query(
    `insert into stock_entries (op, what, lot_id, delta, job_id, at)
     select gen_random_uuid(), case when n % 3 = 0 then 'bought' else 'used' end, lots.id, 1, jobs.id, now() - n * interval '1 minute'
     from generate_series(1, $1::int) as n
     join (select id, row_number() over () as k, count(*) over () as many from stock_lots) as lots on lots.k = 1 + n % lots.many
     join (select id, row_number() over () as k, count(*) over () as many from jobs) as jobs on jobs.k = 1 + n % jobs.many`,
    [entries],
  );
  await db.query(
    `insert into bench_entries (id, job_id, step_id, what, "by", at, value, words)
     select gen_random_uuid(), jobs.id, 'strip', 'time', 'A maker', now() - n * interval '1 minute', 10 + n % 50, ''
     from generate_series(1, $1::int) as n
     join (select id, row_number() over () as k, count(*) over () as many from jobs) as jobs on jobs.k = 1 + n % jobs.many`,
    [notes],
  );
  await db.query('analyze');
};

/** How quick each list of a shop is that has made many thousands of signs. */
export const longShop = async (
  shop,
  design,
  { jobs = 10_000, atHand = 200, lots = 3000, entries = 100_000, notes = 50_000 } = {},
) => {
  const made = await shop.newJob('Pattern', design);
  const db = new shop.pg.Client({ connectionString: shop.databaseUrl });
  await db.connect();
  for (let turn = 0; turn < 100; turn += 1) {
    const { rows } = await db.query('select 1 from jobs where id = $1 and work is not null', [made.id]);
    if (rows.length > 0) break;
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  await fill(db, made.id, { jobs, atHand, lots, entries, notes });
  const { rows } = await db.query('select kind, line_id, id from stock_lots limit 1');
  const { rows: deep } = await db.query(
    `select created_at::text as at, id from jobs order by created_at, id offset ${Math.floor(jobs / 2)} limit 1`,
  );
  await db.end();
  const [lot] = rows;
  const cursor = Buffer.from(`${deep[0].at} ${deep[0].id}`).toString('base64url');
  const lists = {
    'the book, first page': '/api/jobs',
    'the book, in its middle': `/api/jobs?after=${cursor}`,
    'stock by line': '/api/stock',
    'lots of a line': `/api/stock/lots?kind=${lot.kind}&line=${encodeURIComponent(lot.line_id)}`,
    'the ledger': '/api/stock/entries',
    'the ledger of a lot': `/api/stock/entries?lot=${lot.id}`,
    'the ledger of a job': `/api/stock/entries?job=${made.id}`,
    'what to buy': '/api/stock/shopping',
    'the plan': '/api/plan',
    records: '/api/records',
    'a bench log': `/api/bench/${made.id}/log?after=0`,
    shelf: '/api/catalogue',
  };
  const found = [];
  for (const [name, address] of Object.entries(lists)) {
    const times = [];
    let status = 0;
    for (let turn = 0; turn < 15; turn += 1) {
      const answer = await shop.ask('GET', address);
      times.push(answer.ms);
      status = answer.status;
    }
    found.push({ name, status, p50: percentile(times, 50), p90: percentile(times, 90) });
  }
  return { jobs, entries, found };
};
