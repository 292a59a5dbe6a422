-- An open item may be about one valve or part, and be due on a day.
alter table open_item add column due_on date;
alter table open_item add column valve varchar(8);
alter table open_item add column part varchar(80);
alter table open_item_history add column due_on date;
alter table open_item_history add column valve varchar(8);
alter table open_item_history add column part varchar(80);

-- How a run went.
alter table race_run add column power_hp double precision;
alter table race_run add column best_seconds double precision;
alter table race_run_history add column power_hp double precision;
alter table race_run_history add column best_seconds double precision;
