-- Parts are kept as documents too: the table is no more the turnaround's alone.
alter table turnaround_sheet rename to kept_sheet;
alter table turnaround_sheet_history rename to kept_sheet_history;
