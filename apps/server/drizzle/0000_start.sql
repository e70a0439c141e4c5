CREATE TABLE "catalogue_items" (
	"kind" text NOT NULL,
	"id" text NOT NULL,
	"place" integer NOT NULL,
	"data" jsonb NOT NULL,
	CONSTRAINT "catalogue_items_kind_id_pk" PRIMARY KEY("kind","id")
);
--> statement-breakpoint
CREATE TABLE "jobs" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"name" text NOT NULL,
	"customer" text DEFAULT '' NOT NULL,
	"status" text DEFAULT 'quoted' NOT NULL,
	"due_on" date,
	"head_revision" integer DEFAULT 0 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "revisions" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"job_id" uuid NOT NULL,
	"number" integer NOT NULL,
	"parent" integer,
	"hash" text NOT NULL,
	"design" json NOT NULL,
	"summary" json,
	"note" text DEFAULT '' NOT NULL,
	"set_aside" boolean DEFAULT false NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "revisions_number" UNIQUE("job_id","number")
);
--> statement-breakpoint
ALTER TABLE "revisions" ADD CONSTRAINT "revisions_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "revisions_job" ON "revisions" USING btree ("job_id");