create table account (
    id            bigint generated always as identity primary key,
    username      varchar(60)  not null unique,
    full_name     varchar(120) not null,
    password_hash varchar(100) not null,
    role          varchar(20)  not null,
    demo          boolean      not null,
    created_at    timestamptz  not null
);

-- One ticket of the board. The columns after the pointer repeat what follows from the document, so
-- that the board can list, filter and search without reading documents.
create table job (
    id          bigint generated always as identity primary key,
    version     bigint       not null,
    pointer     integer      not null,
    name        varchar(160) not null,
    machine     varchar(40)  not null,
    material    varchar(80)  not null,
    thickness   double precision not null,
    quantity    integer      not null,
    stage       varchar(12)  not null,
    next_action varchar(400) not null,
    picture     text         not null,
    owner_id    bigint       not null references account,
    changed_by  bigint       not null references account,
    created_at  timestamptz  not null,
    changed_at  timestamptz  not null
);
create index job_changed on job (changed_at desc, id desc);
create index job_stage on job (stage, changed_at desc);
create index job_machine on job (machine, changed_at desc);

-- Files as they came in; never changed.
create table drawing_file (
    id       bigint generated always as identity primary key,
    job_id   bigint       not null references job,
    name     varchar(200) not null,
    content  bytea        not null,
    sha256   varchar(64)  not null,
    added_at timestamptz  not null
);
create index drawing_file_job on drawing_file (job_id);

-- Every edit appends a step. Undo moves the job's pointer to the parent, redo to the newest child;
-- steps are never changed or removed.
create table job_step (
    job_id     bigint       not null references job,
    number     integer      not null,
    parent     integer      not null,
    label      varchar(200) not null,
    document   jsonb        not null,
    account_id bigint       not null references account,
    made_at    timestamptz  not null,
    primary key (job_id, number)
);

create table release (
    id                 bigint generated always as identity primary key,
    job_id             bigint       not null references job,
    revision           varchar(8)   not null,
    step               integer      not null,
    machine            varchar(40)  not null,
    dialect            varchar(40)  not null,
    dialect_version    integer      not null,
    file_name          varchar(200) not null,
    program            text         not null,
    -- text, not jsonb: the seal is over every byte
    item_of_line       text         not null,
    inputs             text         not null,
    findings           text         not null,
    greatest_deviation double precision not null,
    seconds            double precision not null,
    sha256             varchar(64)  not null,
    previous_sha256    varchar(64),
    released_by        bigint       not null references account,
    released_at        timestamptz  not null,
    unique (job_id, revision)
);

create function forbid_change() returns trigger language plpgsql as $$
begin
    raise exception '% rows are never changed or removed', tg_table_name;
end $$;
create trigger release_is_immutable before update or delete on release
    for each row execute function forbid_change();
create trigger step_is_immutable before update or delete on job_step
    for each row execute function forbid_change();
create trigger drawing_file_is_immutable before update or delete on drawing_file
    for each row execute function forbid_change();

create table spring_session (
    primary_id            char(36) not null primary key,
    session_id            char(36) not null,
    creation_time         bigint   not null,
    last_access_time      bigint   not null,
    max_inactive_interval int      not null,
    expiry_time           bigint   not null,
    principal_name        varchar(100)
);
create unique index spring_session_ix1 on spring_session (session_id);
create index spring_session_ix2 on spring_session (expiry_time);
create index spring_session_ix3 on spring_session (principal_name);
create table spring_session_attributes (
    session_primary_id char(36)     not null references spring_session on delete cascade,
    attribute_name     varchar(200) not null,
    attribute_bytes    bytea        not null,
    primary key (session_primary_id, attribute_name)
);
