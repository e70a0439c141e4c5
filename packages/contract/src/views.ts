import type { CareDate, Design, JobStatus, Problem, Severity } from '@vitrum/core';

/** The few facts of a design that lists show; worked out after it was saved. */
export interface DesignFacts {
  readonly size: string;
  readonly figures: readonly { readonly id: string; readonly text: string; readonly label: string }[];
  readonly counts: Readonly<Record<Severity, number>>;
  /** What all that is ordered costs the shop; absent where it was summed up by an earlier version. */
  readonly order?: { readonly price: number; readonly currency: string };
  /** What is to be done once it hangs; absent where it was summed up by an earlier version. */
  readonly care?: readonly CareDate[];
}

/** What a job was quoted at last. */
export interface QuotedPrice {
  readonly price: number;
  readonly currency: string;
  /** Whether the customer said yes to it. */
  readonly agreed: boolean;
}

/** The same with its picture. */
export interface DesignSummary extends DesignFacts {
  /** Where its picture is, which never changes there; null when the design could not be evaluated. */
  readonly thumbnail: string | null;
}

export interface RevisionView {
  readonly number: number;
  readonly parent: number | null;
  readonly hash: string;
  readonly savedAt: string;
  readonly note: string;
  /** Kept beside the line because it was saved from an older revision. */
  readonly setAside: boolean;
}

export interface RevisionWithDesign extends RevisionView {
  readonly design: Design;
}

export interface JobListing {
  readonly id: string;
  readonly name: string;
  readonly customer: string;
  readonly status: JobStatus;
  readonly dueOn: string | null;
  readonly archived: boolean;
  readonly template: boolean;
  /** The day on which the sign was handed over, and when it was last looked after, by how often that is due (months). */
  readonly handedOverOn: string | null;
  readonly cared: Readonly<Record<number, string>>;
  /** The newest quote that was not withdrawn. */
  readonly quoted: QuotedPrice | null;
  readonly updatedAt: string;
  readonly revision: number;
  /** Of the newest revision that has been summed up; it follows a save after a moment. */
  readonly summary: DesignSummary | null;
  /** Which revision that is. */
  readonly summaryOf: number | null;
}

export interface JobView extends JobListing {
  readonly head: RevisionWithDesign;
}

/** The body of every error. */
export interface ProblemReport {
  readonly statusCode: number;
  readonly message: string;
  readonly problems: readonly Problem[];
  readonly requestId: string;
}

/** The body of a 409: both sides, both kept. */
export interface SaveConflict extends ProblemReport {
  readonly head: RevisionWithDesign;
  readonly yours: RevisionWithDesign;
}
