-- Use in the engine's own unit, and items that fall due by it.
alter table race_run add column used double precision;
alter table race_run_history add column used double precision;
alter table open_item add column due_used double precision;
alter table open_item_history add column due_used double precision;
