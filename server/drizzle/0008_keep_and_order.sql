CREATE TABLE "deleted_entries" (
	"kind" text NOT NULL,
	"id" text NOT NULL,
	"data" jsonb NOT NULL,
	"deleted_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "deleted_entries_kind_id_pk" PRIMARY KEY("kind","id")
);
--> statement-breakpoint
ALTER TABLE "facts" ADD COLUMN "came" bigserial NOT NULL;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "arriving" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "came" bigserial NOT NULL;--> statement-breakpoint
ALTER TABLE "runs" ADD COLUMN "came" bigserial NOT NULL;--> statement-breakpoint
ALTER TABLE "traces" ADD COLUMN "samples" "bytea";--> statement-breakpoint
ALTER TABLE "traces" ADD COLUMN "came" bigserial NOT NULL;--> statement-breakpoint
CREATE FUNCTION "tell_shop_changed"() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN PERFORM pg_notify('kobran_shop', ''); RETURN NULL; END $$;--> statement-breakpoint
CREATE TRIGGER "shop_changed" AFTER INSERT OR UPDATE OR DELETE ON "shop_entries" FOR EACH STATEMENT EXECUTE FUNCTION "tell_shop_changed"();
