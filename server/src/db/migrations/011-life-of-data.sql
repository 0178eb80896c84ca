-- Who changed what, in a sentence; rows are only added. What is told of a student names the student's number, not the name.
create table history (
  id         integer generated always as identity primary key,
  at         timestamptz not null,
  -- null where Hurrow itself did it, as when a time set for keeping names had run out
  account_id uuid references account,
  course_id  uuid references course on delete set null,
  what       text not null
);
create index history_by_course on history (course_id, id);

-- Months after the end of a course for which its students' names are kept; null for good.
alter table library add column names_kept_months integer check (names_kept_months between 1 and 240);

-- A student whose name was taken away: the answers stay for the analyses of the class.
alter table student add column nameless boolean not null default false;

-- Answers and rulings are never changed, and deleted only with the student or the course that they belong to: such a transaction says so.
create or replace function refuse_change() returns trigger language plpgsql as $$
begin
  if tg_op = 'DELETE' and current_setting('hurrow.removing', true) = 'yes' then return old; end if;
  raise exception 'rows of % are never changed or deleted', tg_table_name;
end $$;
