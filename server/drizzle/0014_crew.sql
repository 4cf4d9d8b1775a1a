CREATE TABLE "crew" (
	"id" integer PRIMARY KEY DEFAULT 1 NOT NULL,
	"log_length" integer DEFAULT 0 NOT NULL,
	"log_head" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "crew_log" (
	"id" uuid PRIMARY KEY NOT NULL,
	"kind" text NOT NULL,
	"by" text NOT NULL,
	"about" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"hash" text NOT NULL,
	"came" bigserial NOT NULL
);
--> statement-breakpoint
CREATE TABLE "customer_links" (
	"id" uuid PRIMARY KEY NOT NULL,
	"code_hash" text NOT NULL,
	"job_id" uuid NOT NULL,
	"whom" text NOT NULL,
	"by" text NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"ended_at" timestamp with time zone,
	CONSTRAINT "customer_links_code_hash_unique" UNIQUE("code_hash")
);
--> statement-breakpoint
CREATE TABLE "invitations" (
	"id" uuid PRIMARY KEY NOT NULL,
	"code_hash" text NOT NULL,
	"name" text NOT NULL,
	"role" text NOT NULL,
	"by" text NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"ended_at" timestamp with time zone,
	CONSTRAINT "invitations_code_hash_unique" UNIQUE("code_hash")
);
--> statement-breakpoint
CREATE TABLE "members" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"name_key" text NOT NULL,
	"role" text NOT NULL,
	"phrase_hash" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"removed_at" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "sessions" (
	"id" uuid PRIMARY KEY NOT NULL,
	"key_hash" text NOT NULL,
	"key_before" text,
	"taken_up_at" timestamp with time zone,
	"member_id" uuid,
	"link_id" uuid,
	"device" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"seen_at" timestamp with time zone DEFAULT now() NOT NULL,
	"key_at" timestamp with time zone DEFAULT now() NOT NULL,
	"ended_at" timestamp with time zone,
	CONSTRAINT "sessions_key_hash_unique" UNIQUE("key_hash"),
	CONSTRAINT "sessions_key_before_unique" UNIQUE("key_before")
);
--> statement-breakpoint
CREATE TABLE "sign_in_tries" (
	"key" text PRIMARY KEY NOT NULL,
	"failures" integer NOT NULL,
	"last_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "sessions" ADD CONSTRAINT "sessions_member_id_members_id_fk" FOREIGN KEY ("member_id") REFERENCES "public"."members"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sessions" ADD CONSTRAINT "sessions_link_id_customer_links_id_fk" FOREIGN KEY ("link_id") REFERENCES "public"."customer_links"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "one_member_of_a_name" ON "members" USING btree ("name_key") WHERE "members"."removed_at" is null;--> statement-breakpoint
CREATE INDEX "sessions_of_member" ON "sessions" USING btree ("member_id");