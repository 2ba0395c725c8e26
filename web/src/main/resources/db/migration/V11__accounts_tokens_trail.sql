alter table account add column closed_at timestamptz;
alter table account add column must_change boolean not null default false;
alter table account add column last_sign_in timestamptz;
alter table account alter column must_change drop default;

-- Sessions of before hold what sessions hold no more.
delete from spring_session;

-- What programs sign in with instead of a password. The secret itself is kept nowhere.
create table access_token (
    id         bigint generated always as identity primary key,
    account_id bigint       not null references account,
    name       varchar(60)  not null,
    scope      varchar(20)  not null,
    hash       varchar(64)  not null unique,
    made_at    timestamptz  not null,
    ends_at    timestamptz  not null,
    used_at    timestamptz,
    revoked_at timestamptz
);
create index access_token_account on access_token (account_id);

-- What is done about accounts, and what leaves no row of its own.
create table trail_entry (
    id         bigint generated always as identity primary key,
    at         timestamptz  not null,
    account_id bigint       references account,
    kind       varchar(20)  not null,
    what       varchar(300) not null,
    job_id     bigint       references job,
    address    varchar(60)
);
create index trail_entry_at on trail_entry (at);
create trigger trail_entry_is_immutable before update or delete on trail_entry
    for each row execute function forbid_change();
create trigger trail_entry_is_never_emptied before truncate on trail_entry
    for each statement execute function forbid_change();

create index job_step_made on job_step (made_at);
create index release_at on release (released_at);
create index book_change_at on book_change (at);
create index format_version_at on format_version (at);

-- All that anybody did, whatever table says so.
create view trail as
    select at, account_id, kind, what, job_id, address from trail_entry
    union all
    select made_at, account_id, 'job', label, job_id, null from job_step
    union all
    select released_at, released_by, 'release',
        case when trial then 'Trial ' else 'Revision ' end || revision || ' released', job_id, null
        from release
    union all
    select at, account, 'cut book', 'Cut book of ' || machine || ': ' || subject
        || case when note = '' then '' else ' (' || note || ')' end, null, null from book_change
    union all
    select at, account, 'format', 'Format ' || name || ', version ' || version
        || case when note = '' then '' else ' (' || note || ')' end, null, null from format_version;
