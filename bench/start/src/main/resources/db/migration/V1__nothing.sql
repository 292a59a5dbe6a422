create table nothing (id int);
