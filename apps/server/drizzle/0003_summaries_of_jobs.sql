ALTER TABLE "jobs" ADD COLUMN "summary" json;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "summary_of" integer;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "picture" "bytea";--> statement-breakpoint
CREATE INDEX "jobs_made" ON "jobs" USING btree ("created_at","id");--> statement-breakpoint
-- The newest summary of each job's line moves to the job; its picture, once text in it, becomes bytes of its own.
UPDATE "jobs" SET
  "summary" = ("newest"."summary"::jsonb - 'thumbnail')::json,
  "summary_of" = "newest"."number",
  "picture" = decode(split_part("newest"."summary" ->> 'thumbnail', ',', 2), 'base64')
FROM (
  SELECT DISTINCT ON ("job_id") "job_id", "number", "summary" FROM "revisions"
  WHERE "summary" IS NOT NULL AND NOT "set_aside" ORDER BY "job_id", "number" DESC
) AS "newest"
WHERE "newest"."job_id" = "jobs"."id";--> statement-breakpoint
ALTER TABLE "revisions" DROP COLUMN "summary";