CREATE TABLE "shop_entries" (
	"kind" text NOT NULL,
	"id" text NOT NULL,
	"data" jsonb NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	CONSTRAINT "shop_entries_kind_id_pk" PRIMARY KEY("kind","id")
);
