/** A shop of `people`, with so many jobs of twenty steps each: work of a quarter to two and a half hours, some of it to dry. */
const shopOf = (core, jobs, people) => {
  let seed = 7;
  const random = () => {
    seed = (Math.imul(seed, 1664525) + 1013904223) >>> 0;
    return seed / 2 ** 32;
  };
  const places = ['saw', 'bench', 'bench', 'paint'];
  const steps = () =>
    Array.from({ length: 20 }, (_, at) => {
      const place = places[Math.floor(random() * places.length)];
      return {
        id: `${at}`,
        title: `${at}`,
        phase: 'wire',
        minutes: 15 * (1 + Math.floor(random() * 10)),
        waitMinutes: random() < 0.35 ? 15 * (1 + Math.floor(random() * 20)) : 0,
        place,
        people: random() < 0.1 ? 2 : 1,
        whole: false,
        holds: place === 'paint',
        attended: false,
        after: at === 0 ? [] : [`${at - 1}`],
      };
    });
  const [one] = core.usualFloor.people;
  return {
    jobs: Array.from({ length: jobs }, (_, job) => ({
      id: `${job}`,
      name: `${job}`,
      dueOn: core.dayAfter('2030-01-07', Math.floor(random() * 200)),
      steps: steps(),
    })),
    floor: {
      ...core.usualFloor,
      people: Array.from({ length: people }, (_, at) => ({ ...one, id: `${at}`, name: `${at}` })),
      places: { ...core.usualFloor.places, bench: people },
    },
    pins: [],
    fromDay: '2030-01-07',
    now: 480,
    keep: null,
    first: [],
  };
};

/** How soon a plan is made, and made again when something has changed. */
export const planLines = ({ core }, { say, timed, rated }) => {
  for (const [jobs, people] of [
    [12, 2],
    [200, 2],
    [200, 6],
  ]) {
    const task = shopOf(core, jobs, people);
    const plan = core.planOf(task);
    const keep = core.startsOf(plan);
    const [job] = task.jobs;
    const longer = {
      ...job,
      steps: job.steps.map((step, at) => (at === 3 ? { ...step, minutes: step.minutes + 240 } : step)),
    };
    const delayed = { ...task, jobs: [longer, ...task.jobs.slice(1)], keep };
    const anew = timed(() => core.planOf(task), 3, 1);
    const again = timed(() => core.planOf(delayed), 3, 1);
    const before = new Map(plan.bars.map(({ jobId, stepId, start }) => [`${jobId} ${stepId}`, start]));
    const moved = core
      .planOf(delayed)
      .bars.filter(({ jobId, stepId, start }) => before.get(`${jobId} ${stepId}`) !== start);
    say(`\na plan of ${jobs} jobs, ${plan.bars.length} steps, ${people} people`);
    say(
      `  all done, over what is sure          ${((plan.endsAt - plan.now) / (plan.atLeast.endsAt - plan.now)).toFixed(3)}`,
    );
    say(`  made anew                            ${rated(anew, 1000, 'ms', 'less')}`);
    say(`  made again, one step four hours longer ${rated(again, 1000, 'ms', 'less')}, ${moved.length} steps moved`);
  }
};
