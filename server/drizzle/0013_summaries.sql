CREATE EXTENSION IF NOT EXISTS pg_trgm;--> statement-breakpoint
CREATE TABLE "run_summaries" (
	"run_id" uuid PRIMARY KEY NOT NULL,
	"of" text NOT NULL,
	"summary" jsonb,
	"fault" text,
	"words" text NOT NULL,
	"stems" "tsvector" GENERATED ALWAYS AS (array_to_tsvector(string_to_array(words, ' ')) || to_tsvector('english', words)) STORED NOT NULL,
	"worst" text,
	"next_stage" text,
	"due" timestamp with time zone,
	"people" text[] NOT NULL
);
--> statement-breakpoint
CREATE TABLE "search_words" (
	"word" text PRIMARY KEY NOT NULL
);
--> statement-breakpoint
ALTER TABLE "run_summaries" ADD CONSTRAINT "run_summaries_run_id_runs_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."runs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "summaries_by_letters" ON "run_summaries" USING gin ("words" gin_trgm_ops);--> statement-breakpoint
CREATE INDEX "summaries_by_stems" ON "run_summaries" USING gin ("stems");--> statement-breakpoint
CREATE INDEX "summaries_by_due" ON "run_summaries" USING btree ("due");--> statement-breakpoint
CREATE INDEX "words_by_letters" ON "search_words" USING gin ("word" gin_trgm_ops);--> statement-breakpoint
CREATE INDEX "jobs_in_order" ON "jobs" USING btree ("came");