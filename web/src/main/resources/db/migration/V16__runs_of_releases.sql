-- A revision holds one program for each of the runs that were released, each with how often its
-- sheet is cut.
alter table release
    add column run   integer not null default 1,
    add column times integer not null default 1;
alter table release alter column run drop default;
alter table release alter column times drop default;
alter table release drop constraint release_job_id_revision_key;
alter table release add constraint release_job_id_revision_run_key unique (job_id, revision, run);
