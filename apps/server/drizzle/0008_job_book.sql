ALTER TABLE "jobs" ADD COLUMN "archived" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "template" boolean DEFAULT false NOT NULL;