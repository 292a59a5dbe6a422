-- One store for the rules of a team, whatever feature they are of.
create table team_rules (
  id uuid primary key,
  engine_id uuid not null references engine (id),
  kind varchar(20) not null,
  sheet clob not null,
  version integer not null,
  unique (engine_id, kind)
);
create table team_rules_history (
  id uuid not null,
  rev integer not null references revision (id),
  revtype tinyint,
  engine_id uuid,
  kind varchar(20),
  sheet clob,
  primary key (id, rev)
);
insert into team_rules select id, engine_id, 'SPRING_RULES', sheet, version from spring_rules;
insert into team_rules select id, engine_id, 'LIFTER_RULES', sheet, version from lifter_rules;
insert into team_rules select id, engine_id, 'CHANGE_RULES', sheet, version from change_rules;
insert into team_rules_history select id, rev, revtype, engine_id, 'SPRING_RULES', sheet from spring_rules_history;
insert into team_rules_history select id, rev, revtype, engine_id, 'LIFTER_RULES', sheet from lifter_rules_history;
insert into team_rules_history select id, rev, revtype, engine_id, 'CHANGE_RULES', sheet from change_rules_history;
drop table spring_rules_history;
drop table lifter_rules_history;
drop table change_rules_history;
drop table spring_rules;
drop table lifter_rules;
drop table change_rules;

-- Which rules judged a round is told by the version its document was stored in.
alter table lash_round drop column rule_version;
alter table lash_round_history drop column rule_version;
