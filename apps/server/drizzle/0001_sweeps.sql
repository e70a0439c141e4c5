CREATE TABLE "sweep_points" (
	"sweep_id" uuid NOT NULL,
	"place" integer NOT NULL,
	"data" json,
	CONSTRAINT "sweep_points_sweep_id_place_pk" PRIMARY KEY("sweep_id","place")
);
--> statement-breakpoint
CREATE TABLE "sweeps" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"design" json NOT NULL,
	"plan" json NOT NULL,
	"status" text DEFAULT 'queued' NOT NULL,
	"runner" uuid,
	"done" integer DEFAULT 0 NOT NULL,
	"total" integer NOT NULL,
	"error" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "sweep_points" ADD CONSTRAINT "sweep_points_sweep_id_sweeps_id_fk" FOREIGN KEY ("sweep_id") REFERENCES "public"."sweeps"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "sweeps_status" ON "sweeps" USING btree ("status");