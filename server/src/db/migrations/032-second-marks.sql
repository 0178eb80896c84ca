-- What a second marker says of equal answers, without having seen how they were marked.
create table second_mark (
  quiz_id uuid not null references quiz on delete cascade,
  account_id uuid not null references account on delete cascade,
  -- The tree, what was asked, and what was written.
  answer text not null,
  verdict text not null check (verdict in ('full', 'part', 'none')),
  at timestamptz not null,
  primary key (quiz_id, account_id, answer)
);
