ALTER TABLE "jobs" ADD COLUMN "place" jsonb;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "place_version" integer DEFAULT 0 NOT NULL;