-- What students noted at trees: in their own words, drawn, photographed, and chosen from pictures.
create table note_entry (
  id          uuid primary key,
  course_id   uuid not null references course,
  student_id  uuid not null references student,
  day         date not null,
  tag         text not null,
  organ       text not null,
  words       text not null,
  chosen      jsonb not null,
  drawing     jsonb not null,
  on_paper    boolean not null,
  received_at timestamptz not null
);
create index on note_entry (course_id);
create index on note_entry (student_id);

create table note_picture (
  id       uuid primary key,
  entry_id uuid not null references note_entry on delete cascade,
  bytes    bytea not null,
  at       timestamptz not null
);
create index on note_picture (entry_id);

-- Which tree carries a tag, as far as somebody has said so.
create table course_tag (
  course_id uuid not null references course,
  tag       text not null,
  taxon_id  text not null,
  primary key (course_id, tag)
);

-- What a class's own words mean.
alter table course add column own_phrases jsonb not null default '[]';

-- Tables of twigs as they were sorted, by a student, a group or the class.
create table sort (
  id         uuid primary key,
  course_id  uuid not null references course,
  student_id uuid references student,
  who        text,
  body       jsonb not null,
  revision   integer not null,
  at         timestamptz not null,
  check ((student_id is null) <> (who is null))
);
create index on sort (course_id);
create index on sort (student_id);
