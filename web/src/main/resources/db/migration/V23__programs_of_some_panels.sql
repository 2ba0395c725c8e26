-- What was wanted last may name panels.
alter table product alter column programs type text;
