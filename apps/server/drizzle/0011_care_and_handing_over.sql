ALTER TABLE "jobs" ADD COLUMN "handed_over_on" date;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "cared" jsonb DEFAULT '{}'::jsonb NOT NULL;