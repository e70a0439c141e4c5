import { Injectable } from '@nestjs/common';
import type { PlannedJobView, PlanPaper, PlanView } from '@vitrum/contract';
import { doneSteps, usualFloor, workPhases, type Floor } from '@vitrum/core';
import { and, asc, eq, inArray } from 'drizzle-orm';
import { BenchService } from '../bench/bench.service.js';
import { CatalogueService } from '../catalogue/catalogue.service.js';
import { DatabaseService } from '../database/database.module.js';
import { jobs } from '../database/schema.js';
import { PapersService, type PaperOutcome } from '../papers/papers.service.js';
import { SummariesService } from '../summaries/summaries.service.js';

/** Of more jobs than that no shop keeps a plan. */
const mostJobs = 200;
/** Jobs with something left to do: what is quoted may never come, what is delivered is done. */
const planned = ['designed', 'cutting', 'building', 'proved'] as const;

const blank: PlanPaper = { pins: [], starts: [], first: [] };

/** What a plan is made from, and the plan that is kept; it is made where it is looked at. */
@Injectable()
export class PlanService {
  constructor(
    private readonly database: DatabaseService,
    private readonly papers: PapersService,
    private readonly summaries: SummariesService,
    private readonly bench: BenchService,
    private readonly catalogue: CatalogueService,
  ) {}

  async view(): Promise<PlanView> {
    const [found, floor, plan, { rates }] = await Promise.all([
      this.jobs(),
      this.floor(),
      this.papers.read('plan', blank),
      this.catalogue.read(),
    ]);
    return { jobs: found, floor, plan, learnedPhases: workPhases.filter((phase) => rates.learnedTimes?.[phase]) };
  }

  keepPlan(paper: PlanPaper, basedOn: number): Promise<PaperOutcome<PlanPaper>> {
    return this.papers.keep('plan', paper, basedOn);
  }

  keepFloor(floor: Floor, basedOn: number): Promise<PaperOutcome<Floor>> {
    return this.papers.keep('floor', floor, basedOn);
  }

  private floor(): Promise<PlanView['floor']> {
    return this.papers.read('floor', usualFloor);
  }

  private async jobs(): Promise<readonly PlannedJobView[]> {
    const rows = await this.database.steady((db) =>
      db
        .select({
          id: jobs.id,
          name: jobs.name,
          dueOn: jobs.dueOn,
          status: jobs.status,
          work: jobs.work,
          revision: jobs.headRevision,
          summaryOf: jobs.summaryOf,
        })
        .from(jobs)
        .where(and(inArray(jobs.status, [...planned]), eq(jobs.archived, false), eq(jobs.template, false)))
        .orderBy(asc(jobs.dueOn), asc(jobs.createdAt))
        .limit(mostJobs),
    );
    const ticked = await this.bench.doneOf(new Map(rows.map(({ id, work }) => [id, work?.done ?? []] as const)));
    this.summaries.look(rows);
    return rows.map(({ work, revision, summaryOf, ...job }) => {
      // Summed up by a version that did not tell what is to do, or not at all yet.
      if (work === null) this.summaries.wantOnce(job.id, revision);
      return {
        ...job,
        steps: work?.steps ?? [],
        done: doneSteps(job.status, work?.steps ?? [], ticked.get(job.id) ?? []),
        known: work !== null && summaryOf === revision,
      };
    });
  }
}
