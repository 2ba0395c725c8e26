-- The order of the visits that a recipe brings with it; null: as the job has it.
alter table wire_recipe add column run_order varchar(20);
