CREATE TABLE "bench_entries" (
	"seq" bigserial PRIMARY KEY NOT NULL,
	"id" uuid NOT NULL,
	"job_id" uuid NOT NULL,
	"step_id" text,
	"what" text NOT NULL,
	"by" text DEFAULT '' NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"value" double precision,
	"words" text DEFAULT '' NOT NULL,
	"of" uuid,
	CONSTRAINT "bench_entries_id_unique" UNIQUE("id")
);
--> statement-breakpoint
CREATE TABLE "bench_photos" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"type" text NOT NULL,
	"bytes" "bytea" NOT NULL
);
--> statement-breakpoint
CREATE TABLE "lessons" (
	"id" uuid PRIMARY KEY NOT NULL,
	"about" text NOT NULL,
	"key" text NOT NULL,
	"words" text NOT NULL,
	"by" text DEFAULT '' NOT NULL,
	"job_id" uuid,
	"made_at" timestamp with time zone DEFAULT now() NOT NULL,
	"retired" boolean DEFAULT false NOT NULL
);
--> statement-breakpoint
ALTER TABLE "bench_entries" ADD CONSTRAINT "bench_entries_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "bench_photos" ADD CONSTRAINT "bench_photos_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lessons" ADD CONSTRAINT "lessons_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "bench_entries_job" ON "bench_entries" USING btree ("job_id","seq");--> statement-breakpoint
CREATE INDEX "bench_entries_ticks" ON "bench_entries" USING btree ("job_id","at") WHERE what in ('done', 'not-done');--> statement-breakpoint
CREATE INDEX "bench_entries_times" ON "bench_entries" USING btree ("job_id") WHERE what = 'time';--> statement-breakpoint
CREATE INDEX "bench_entries_back" ON "bench_entries" USING btree ("of") WHERE what = 'taken-back';--> statement-breakpoint
CREATE INDEX "bench_photos_job" ON "bench_photos" USING btree ("job_id");