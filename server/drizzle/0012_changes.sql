CREATE FUNCTION "tell_changed"() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN
  IF TG_TABLE_NAME IN ('runs', 'jobs') THEN
    PERFORM pg_notify('kobran_changes', rtrim(TG_TABLE_NAME, 's') || ' ' || COALESCE(NEW.id, OLD.id));
  ELSE
    PERFORM pg_notify('kobran_changes', 'run ' || COALESCE(NEW.run_id, OLD.run_id));
  END IF;
  RETURN NULL;
END $$;--> statement-breakpoint
CREATE TRIGGER "job_changed" AFTER INSERT OR UPDATE OR DELETE ON "jobs" FOR EACH ROW EXECUTE FUNCTION "tell_changed"();--> statement-breakpoint
CREATE TRIGGER "run_changed" AFTER INSERT OR UPDATE OR DELETE ON "runs" FOR EACH ROW EXECUTE FUNCTION "tell_changed"();--> statement-breakpoint
CREATE TRIGGER "log_changed" AFTER INSERT OR UPDATE ON "logs" FOR EACH ROW EXECUTE FUNCTION "tell_changed"();--> statement-breakpoint
CREATE TRIGGER "trace_changed" AFTER INSERT OR UPDATE OR DELETE ON "traces" FOR EACH ROW EXECUTE FUNCTION "tell_changed"();--> statement-breakpoint
CREATE TRIGGER "progress_changed" AFTER INSERT OR UPDATE ON "progress" FOR EACH ROW EXECUTE FUNCTION "tell_changed"();
