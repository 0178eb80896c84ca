-- What the confusion model works with and what it found.

-- An instructor leaves a station out of the analyses when its errors are not the students' fault; its marks stay.
alter table station add column left_out boolean not null default false;

-- A finished report. The key is a hash of everything it was computed from, so that a report can be missing but never stale.
create table confusion_report (
  course_id   uuid not null references course,
  key         text not null,
  report      jsonb not null,
  computed_at timestamptz not null,
  primary key (course_id, key)
);

-- A pair that was taught again on a date; a comes before b in the alphabet.
create table reteaching (
  course_id  uuid not null references course,
  a          text not null references taxon,
  b          text not null references taxon check (a < b),
  taught_on  date not null,
  account_id uuid references account,
  primary key (course_id, a, b, taught_on)
);
