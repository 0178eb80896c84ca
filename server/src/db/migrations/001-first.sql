-- The first shape of the store. Scores, names, rulings and responses are rows that are only ever added.

create table account (
  id            uuid primary key,
  email         text not null unique,
  name          text not null,
  password_hash text not null,
  role          text not null check (role in ('owner', 'instructor', 'assistant')),
  created_at    timestamptz not null default now()
);

create table library (
  id        uuid primary key,
  name      text not null,
  -- Where the calendars of its taxa were recorded: degrees and metres.
  latitude  double precision not null,
  longitude double precision not null,
  elevation double precision not null,
  rule      text not null default 'preferred' check (rule in ('preferred', 'envelope'))
);

create table source (
  library_id uuid not null references library,
  id         text not null,
  label      text not null,
  -- Most trusted first.
  position   integer not null,
  primary key (library_id, id)
);

create table revision (
  id         integer generated always as identity primary key,
  library_id uuid not null references library,
  account_id uuid references account,
  at         timestamptz not null,
  summary    text not null
);

create table taxon (
  id         text primary key,
  library_id uuid not null references library
);

-- Names, calendar and cautions of a taxon as they stood from a revision on.
create table taxon_version (
  taxon_id    text not null references taxon,
  revision_id integer not null references revision,
  record      jsonb not null,
  primary key (taxon_id, revision_id)
);

-- What one source says of one character of a taxon from a revision on; a null value withdraws the score.
create table score_version (
  taxon_id      text not null references taxon,
  character_id  text not null,
  qualifier_key text not null,
  source_id     text not null,
  revision_id   integer not null references revision,
  qualifiers    jsonb not null,
  value         jsonb,
  note          text,
  primary key (taxon_id, character_id, qualifier_key, source_id, revision_id)
);

create table course (
  id         uuid primary key,
  library_id uuid not null references library,
  name       text not null,
  code       text not null unique,
  starts_on  date not null,
  weeks      integer not null check (weeks between 1 and 60),
  audience   text not null check (audience in ('technical', 'plain')),
  units      text not null check (units in ('metric', 'imperial')),
  marking    jsonb not null,
  latitude   double precision not null,
  longitude  double precision not null,
  elevation  double precision not null,
  created_at timestamptz not null default now()
);

create table course_set (
  id        uuid primary key,
  course_id uuid not null references course,
  position  integer not null,
  title     text not null,
  week      integer
);

create table course_taxon (
  course_id uuid not null references course,
  taxon_id  text not null references taxon,
  set_id    uuid not null references course_set,
  position  integer not null,
  primary key (course_id, taxon_id)
);

create table student (
  id        uuid primary key,
  course_id uuid not null references course,
  name      text not null,
  -- Handed out by the instructor, who can look it up again; it is no password of the student's own.
  code      text not null,
  unique (course_id, code)
);

create table session (
  token_hash text primary key,
  account_id uuid references account,
  student_id uuid references student,
  expires_at timestamptz not null,
  check ((account_id is null) <> (student_id is null))
);

create table quiz (
  id        uuid primary key,
  course_id uuid not null references course,
  title     text not null,
  held_on   date not null,
  state     text not null default 'planned' check (state in ('planned', 'open', 'closed')),
  released  boolean not null default false,
  opened_at timestamptz
);

create table station (
  id       uuid primary key,
  quiz_id  uuid not null references quiz,
  position integer not null,
  taxon_id text not null references taxon,
  medium   text not null,
  view     jsonb not null,
  seed     integer not null,
  voided   boolean not null default false,
  -- Fixed when the quiz is opened: list, names, view, specimen and drawing as they were then.
  frozen   jsonb
);

create table response (
  id         uuid primary key,
  station_id uuid not null references station,
  student_id uuid not null references student,
  answer     jsonb not null,
  device     text not null,
  sequence   integer not null,
  written_at timestamptz not null,
  received_at timestamptz not null default now(),
  body_hash  text not null,
  entered_by uuid references account
);
create index response_by_station on response (station_id, student_id);

create function refuse_change() returns trigger language plpgsql as $$
begin
  raise exception 'rows of % are never changed or deleted', tg_table_name;
end $$;

create trigger response_is_append_only before update or delete on response
  for each row execute function refuse_change();

-- An instructor's word on an answer, for all papers of a course at once; the newest row of a key counts.
create table ruling (
  id         integer generated always as identity primary key,
  course_id  uuid not null references course,
  truth      text not null references taxon,
  answer_key text not null,
  -- The taxon the answer counts as; null with withdrawn false: counts as no taxon.
  counts_as  text references taxon,
  withdrawn  boolean not null default false,
  account_id uuid not null references account,
  at         timestamptz not null
);

create trigger ruling_is_append_only before update or delete on ruling
  for each row execute function refuse_change();
