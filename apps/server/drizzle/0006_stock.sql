CREATE TABLE "stock_claims" (
	"job_id" uuid PRIMARY KEY NOT NULL,
	"needs" json NOT NULL,
	"claimed_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "stock_entries" (
	"seq" bigserial PRIMARY KEY NOT NULL,
	"op" uuid NOT NULL,
	"place" integer DEFAULT 0 NOT NULL,
	"what" text NOT NULL,
	"lot_id" uuid,
	"delta" double precision DEFAULT 0 NOT NULL,
	"job_id" uuid,
	"note" text DEFAULT '' NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "stock_entries_op" UNIQUE("op","place")
);
--> statement-breakpoint
CREATE TABLE "stock_lots" (
	"id" uuid PRIMARY KEY NOT NULL,
	"kind" text NOT NULL,
	"line_id" text NOT NULL,
	"form" text NOT NULL,
	"amount" double precision DEFAULT 0 NOT NULL,
	"width_mm" double precision,
	"height_mm" double precision,
	"opened_on" date,
	"made_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "stock_lots_amount" CHECK ("stock_lots"."amount" >= 0)
);
--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "needs" json;--> statement-breakpoint
ALTER TABLE "stock_claims" ADD CONSTRAINT "stock_claims_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_entries" ADD CONSTRAINT "stock_entries_lot_id_stock_lots_id_fk" FOREIGN KEY ("lot_id") REFERENCES "public"."stock_lots"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_entries" ADD CONSTRAINT "stock_entries_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "stock_entries_lot" ON "stock_entries" USING btree ("lot_id","seq");--> statement-breakpoint
CREATE INDEX "stock_entries_job" ON "stock_entries" USING btree ("job_id","seq");--> statement-breakpoint
CREATE INDEX "stock_lots_line" ON "stock_lots" USING btree ("kind","line_id");