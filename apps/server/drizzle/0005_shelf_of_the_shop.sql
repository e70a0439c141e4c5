ALTER TABLE "catalogue_items" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "revisions" ADD COLUMN "items" text[];--> statement-breakpoint
CREATE INDEX "revisions_items" ON "revisions" USING gin ("items");