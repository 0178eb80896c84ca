-- What a profile holds beside names and scores. Everything versioned that is one record under a key stands in one table:
-- how sources are reconciled, characters of the library's own, ranges, measuring sheets, and what is said of a photo.

-- Which organs a course looks at first.
alter table course add column starts_with text not null default 'leaf' check (starts_with in ('leaf', 'site', 'twig'));

create table record_version (
  library_id  uuid not null references library,
  kind        text not null check (kind in ('reconciliation', 'character', 'range', 'sheet', 'photo')),
  -- The character, taxon or photo it belongs to; for a sheet taxon|character|qualifiers; '-' for the library itself.
  key         text not null,
  revision_id integer not null references revision,
  -- null takes the record away.
  record      jsonb,
  primary key (library_id, kind, key, revision_id)
);

-- The pictures of a photo, decoded and encoded again by us: nothing of the uploaded file itself is kept.
create table photo (
  id         uuid primary key,
  library_id uuid not null references library,
  taxon_id   text not null references taxon,
  account_id uuid references account,
  at         timestamptz not null
);
create index photo_by_taxon on photo (taxon_id);

create table photo_size (
  photo_id uuid not null references photo,
  size     text not null check (size in ('thumb', 'screen', 'full')),
  width    integer not null,
  height   integer not null,
  bytes    bytea not null,
  primary key (photo_id, size)
);
