-- programs of several files, and trials of some stops only
alter table release
    add column part_lines text,
    add column trial      boolean not null default false;
alter table release alter column trial drop default;
