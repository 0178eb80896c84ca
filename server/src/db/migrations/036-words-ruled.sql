-- What words on paper, of what a tree was named by, count as: rows that are only ever added, like other rulings.
create table words_ruling (
  id         integer generated always as identity primary key,
  course_id  uuid not null references course,
  words      text not null,
  -- A character, the whole look or a guess; null with withdrawn false: nothing that was offered.
  counts_as  text,
  withdrawn  boolean not null default false,
  account_id uuid not null references account,
  at         timestamptz not null
);
create index words_ruling_course on words_ruling (course_id, words, id);

create trigger words_ruling_is_append_only before update or delete on words_ruling
  for each row execute function refuse_change();
