-- Gap between the two lowest coils at full lift, by feeler.
alter table spring_fitting add column coil_gap_in double precision;
alter table spring_fitting_history add column coil_gap_in double precision;
