CREATE TABLE "facts" (
	"id" uuid PRIMARY KEY NOT NULL,
	"run_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"body" jsonb NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "progress" (
	"run_id" uuid NOT NULL,
	"key" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"body" jsonb,
	CONSTRAINT "progress_run_id_key_pk" PRIMARY KEY("run_id","key")
);
--> statement-breakpoint
CREATE TABLE "shop_practice" (
	"id" integer PRIMARY KEY DEFAULT 1 NOT NULL,
	"practice" jsonb NOT NULL,
	"version" integer DEFAULT 1 NOT NULL
);
--> statement-breakpoint
-- Readings and log entries become facts: kind and body. What an entry said in words stays as its wording.
INSERT INTO "facts" ("id", "run_id", "kind", "body", "by", "at")
SELECT "id", "run_id", 'reading', jsonb_build_object('pieceId', "piece_id", 'expectation', "expectation", 'value', "value"), "by", "at"
FROM "readings";--> statement-breakpoint
INSERT INTO "facts" ("id", "run_id", "kind", "body", "by", "at")
SELECT "id", "run_id",
	CASE
		WHEN "kind" = 'routed' THEN 'installed'
		WHEN "kind" = 'bonded' THEN 'grounded'
		WHEN "kind" = 'note' AND "end_record" IS NOT NULL THEN 'shrink fitted'
		WHEN "kind" = 'trimmed' AND "trim_record" IS NULL THEN 'note'
		WHEN "kind" = 'power step' AND "power_record" IS NULL THEN 'note'
		ELSE "kind"
	END,
	CASE
		WHEN "kind" IN ('end made', 'end failed', 'deviation', 'damaged') OR ("kind" = 'note' AND "end_record" IS NOT NULL)
			THEN jsonb_strip_nulls(jsonb_build_object('wording', "text", 'endId', "about", 'end', "end_record"))
		WHEN "kind" IN ('cut', 'not cut') THEN jsonb_build_object('wording', "text", 'pieceId', "about")
		WHEN "kind" = 'trimmed' AND "trim_record" IS NOT NULL
			THEN jsonb_build_object('wording', "text", 'pieceId', "about", 'trim', "trim_record")
		WHEN "kind" = 'power step' AND "power_record" IS NOT NULL
			THEN jsonb_build_object('wording', "text", 'power', "power_record")
		WHEN "kind" = 'sealed' THEN jsonb_build_object('wording', "text", 'jointId', "about")
		WHEN "kind" IN ('routed', 'bonded', 'handed over') THEN jsonb_build_object('wording', "text")
		ELSE jsonb_build_object('about', "about", 'text', "text")
	END,
	"by", "at"
FROM "log_entries"
ON CONFLICT ("id") DO NOTHING;--> statement-breakpoint
DROP TABLE "log_entries" CASCADE;--> statement-breakpoint
DROP TABLE "readings" CASCADE;--> statement-breakpoint
-- Birth records become a column: of several that stand for one piece the newest stays.
ALTER TABLE "traces" ADD COLUMN "piece_id" text;--> statement-breakpoint
ALTER TABLE "traces" ADD COLUMN "birth" boolean DEFAULT false NOT NULL;--> statement-breakpoint
UPDATE "traces" SET "piece_id" = coalesce("data"->>'pieceId', ''), "birth" = coalesce(("data"->>'birth')::boolean, false), "data" = "data" - 'birth';--> statement-breakpoint
UPDATE "traces" AS "older" SET "birth" = false
FROM "traces" AS "newer"
WHERE "older"."birth" AND "newer"."birth" AND "older"."deleted_at" IS NULL AND "newer"."deleted_at" IS NULL
	AND "older"."run_id" = "newer"."run_id" AND "older"."piece_id" = "newer"."piece_id"
	AND ("newer"."at", "newer"."id") > ("older"."at", "older"."id");--> statement-breakpoint
ALTER TABLE "traces" ALTER COLUMN "piece_id" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "facts" ADD CONSTRAINT "facts_run_id_runs_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."runs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "progress" ADD CONSTRAINT "progress_run_id_runs_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."runs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "facts_of_run" ON "facts" USING btree ("run_id");--> statement-breakpoint
CREATE INDEX "facts_of_kind" ON "facts" USING btree ("kind");--> statement-breakpoint
CREATE UNIQUE INDEX "one_birth_record" ON "traces" USING btree ("run_id","piece_id") WHERE "traces"."birth" and "traces"."deleted_at" is null;