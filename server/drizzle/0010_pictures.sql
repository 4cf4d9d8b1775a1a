CREATE TABLE "pictures" (
	"job_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"type" text NOT NULL,
	"bytes" "bytea" NOT NULL,
	CONSTRAINT "pictures_job_id_id_pk" PRIMARY KEY("job_id","id")
);
--> statement-breakpoint
ALTER TABLE "pictures" ADD CONSTRAINT "pictures_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;