-- What a work has found so far, in the words of its kind.
alter table long_work add column so_far text not null default '';
