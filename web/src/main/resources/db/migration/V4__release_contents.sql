-- what a release holds besides its text; empty for those made before
alter table release
    add column motion       bytea,
    add column sheet        bytea,
    add column seal_version integer not null default 1;
alter table release alter column seal_version drop default;
