-- Where the crank stood when a round began.
alter table lash_round add column from_deg double precision;
alter table lash_round_history add column from_deg double precision;
