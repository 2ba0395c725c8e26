-- Releases of a product: the programs of its panels that were good together.
create table product_release (
    product_id  bigint       not null references product on delete cascade,
    number      int          not null,
    step        int          not null,
    account_id  bigint       not null references account,
    made_at     timestamptz  not null,
    primary key (product_id, number)
);
create table product_release_part (
    product_id  bigint       not null,
    number      int          not null,
    panel       varchar(60)  not null,
    clamping    int          not null,
    job_id      bigint       not null references job,
    revision    varchar(20)  not null,
    made_of     varchar(64)  not null,
    lies        varchar(200) not null,
    features    text         not null,
    seconds     double precision,
    primary key (product_id, number, panel, clamping),
    foreign key (product_id, number) references product_release on delete cascade
);
