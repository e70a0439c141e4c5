CREATE TABLE "shop_papers" (
	"name" text PRIMARY KEY NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"data" json NOT NULL,
	"changed_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "work" json;