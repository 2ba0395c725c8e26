-- Panels that are cut out of boards: the nest on which each lies, and the nest of each material.
alter table product_job add column nest_id bigint references job;
create index product_job_of_nest on product_job (nest_id);
create table product_nest (
    product_id  bigint       not null references product on delete cascade,
    material    varchar(60)  not null,
    job_id      bigint       not null references job,
    made_of     varchar(64)  not null,
    primary key (product_id, material)
);
-- What stands against a panel when what its programs take away is carried back; none: nothing does.
create table product_fault (
    product_id  bigint       not null references product on delete cascade,
    panel       varchar(60)  not null,
    sentence    varchar(500) not null,
    primary key (product_id, panel)
);
