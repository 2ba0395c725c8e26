-- Who released, as the person was called then; part of the seal. Null for releases made before.
alter table release add column released_as varchar(200);

-- One chain over all releases of the shop. A link's code is made with a key that is kept outside of
-- the database, of the link before and of the release's hash.
create table seal_link (
    place      bigint       primary key,
    release_id bigint       not null unique references release,
    sha256     varchar(64)  not null,
    key_name   varchar(20)  not null,
    code       varchar(64)  not null,
    made_at    timestamptz  not null
);

create trigger seal_link_is_immutable before update or delete on seal_link
    for each row execute function forbid_change();
create trigger book_change_is_immutable before update or delete on book_change
    for each row execute function forbid_change();

-- emptying a table fires no trigger of its rows
create trigger release_is_never_emptied before truncate on release
    for each statement execute function forbid_change();
create trigger step_is_never_emptied before truncate on job_step
    for each statement execute function forbid_change();
create trigger drawing_file_is_never_emptied before truncate on drawing_file
    for each statement execute function forbid_change();
create trigger format_version_is_never_emptied before truncate on format_version
    for each statement execute function forbid_change();
create trigger book_change_is_never_emptied before truncate on book_change
    for each statement execute function forbid_change();
create trigger seal_link_is_never_emptied before truncate on seal_link
    for each statement execute function forbid_change();
