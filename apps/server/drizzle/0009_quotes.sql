CREATE TABLE "quote_answers" (
	"seq" bigserial PRIMARY KEY NOT NULL,
	"id" uuid DEFAULT gen_random_uuid() NOT NULL,
	"quote_id" uuid NOT NULL,
	"what" text NOT NULL,
	"name" text NOT NULL,
	"remark" text DEFAULT '' NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "quote_answers_id_unique" UNIQUE("id")
);
--> statement-breakpoint
CREATE TABLE "quotes" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"token" text NOT NULL,
	"job_id" uuid NOT NULL,
	"revision" integer NOT NULL,
	"facts" json NOT NULL,
	"terms" json NOT NULL,
	"day" "bytea" NOT NULL,
	"night" "bytea" NOT NULL,
	"made_at" timestamp with time zone DEFAULT now() NOT NULL,
	"valid_until" date NOT NULL,
	"withdrawn" boolean DEFAULT false NOT NULL,
	CONSTRAINT "quotes_token_unique" UNIQUE("token")
);
--> statement-breakpoint
ALTER TABLE "quote_answers" ADD CONSTRAINT "quote_answers_quote_id_quotes_id_fk" FOREIGN KEY ("quote_id") REFERENCES "public"."quotes"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "quotes" ADD CONSTRAINT "quotes_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "quote_answers_quote" ON "quote_answers" USING btree ("quote_id","seq");--> statement-breakpoint
CREATE UNIQUE INDEX "quote_answers_yes" ON "quote_answers" USING btree ("quote_id") WHERE what = 'yes';--> statement-breakpoint
CREATE INDEX "quotes_job" ON "quotes" USING btree ("job_id","made_at");