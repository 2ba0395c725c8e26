-- Products made of panels. Every edit adds a step with the whole document after it; undo and redo
-- move the pointer.
create table product (
    id          bigint generated always as identity primary key,
    name        varchar(200) not null,
    pointer     int          not null,
    version     bigint       not null,
    changed_by  bigint       not null references account,
    changed_at  timestamptz  not null
);
create table product_step (
    product_id  bigint       not null references product on delete cascade,
    number      int          not null,
    parent      int          not null,
    label       varchar(200) not null,
    document    jsonb        not null,
    account_id  bigint       not null references account,
    made_at     timestamptz  not null,
    primary key (product_id, number)
);
-- Jobs of the clampings of panels, and of what they were made.
create table product_job (
    product_id  bigint       not null references product on delete cascade,
    panel       varchar(60)  not null,
    clamping    int          not null,
    job_id      bigint       not null references job,
    made_of     varchar(64)  not null,
    seconds     double precision,
    primary key (product_id, panel, clamping)
);
create index product_job_of_job on product_job (job_id);
alter table product add column programs varchar(80) not null default '';
-- How many of a clamping are done, as people at the machine say.
create table product_tick (
    product_id  bigint       not null references product on delete cascade,
    panel       varchar(60)  not null,
    clamping    int          not null,
    done        int          not null,
    account_id  bigint       not null references account,
    made_at     timestamptz  not null,
    primary key (product_id, panel, clamping)
);
