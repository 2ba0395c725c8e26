-- so that the list of fonts needs none of them read; those from before are read when they are asked for
alter table font
    add column family       varchar(200),
    add column style        varchar(200),
    add column kind         varchar(10),
    add column units_per_em integer,
    add column cap_height   double precision;
