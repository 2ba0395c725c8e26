-- Ways to cut with a wire, kept by the shop.
create table wire_recipe (
    name       varchar(60) primary key,
    kind       varchar(20),
    choice     jsonb       not null,
    changed_by bigint      not null references account (id),
    changed_at timestamptz not null
);
