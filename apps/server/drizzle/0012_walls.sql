CREATE TABLE "wall_photos" (
	"job_id" uuid PRIMARY KEY NOT NULL,
	"photo" "bytea" NOT NULL,
	"width" integer NOT NULL,
	"height" integer NOT NULL,
	"setup" json,
	"changed_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "quotes" ADD COLUMN "wall_day" "bytea";--> statement-breakpoint
ALTER TABLE "quotes" ADD COLUMN "wall_night" "bytea";--> statement-breakpoint
ALTER TABLE "wall_photos" ADD CONSTRAINT "wall_photos_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;