DROP INDEX "sweeps_status";--> statement-breakpoint
ALTER TABLE "sweeps" ADD COLUMN "person" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "sweeps" ADD COLUMN "worked_ms" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
CREATE INDEX "sweeps_under_way" ON "sweeps" USING btree ("person") WHERE status in ('queued', 'running');--> statement-breakpoint
ALTER TABLE "sweeps" DROP COLUMN "runner";--> statement-breakpoint
-- The queue of earlier versions; turns are taken from the table itself.
DROP SCHEMA IF EXISTS "queue" CASCADE;
