CREATE TABLE "logs" (
	"run_id" uuid PRIMARY KEY NOT NULL,
	"length" integer NOT NULL,
	"head" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "revisions" (
	"run_id" uuid NOT NULL,
	"hash" text NOT NULL,
	"design" jsonb NOT NULL,
	CONSTRAINT "revisions_run_id_hash_pk" PRIMARY KEY("run_id","hash")
);
--> statement-breakpoint
ALTER TABLE "facts" ADD COLUMN "hash" text;--> statement-breakpoint
ALTER TABLE "logs" ADD CONSTRAINT "logs_run_id_runs_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."runs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "revisions" ADD CONSTRAINT "revisions_run_id_runs_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."runs"("id") ON DELETE no action ON UPDATE no action;