-- Scores of an import on their way: they come in small steps, so that nobody waits long, and go into a revision all at once. What an import
-- that was broken off has left here is swept away by the next one.
create unlogged table arriving_score (
  import_id     uuid not null,
  at            timestamptz not null default now(),
  taxon_id      text not null,
  character_id  text not null,
  qualifier_key text not null,
  source_id     text not null,
  qualifiers    jsonb not null,
  value         jsonb,
  note          text
);
create index arriving_score_by_import on arriving_score (import_id);

-- That taxon and revision of a score exist is looked up once a statement instead of twice a row, which was two thirds of the time that an
-- import held the store. Neither is ever deleted, so that nothing else was guarded by the two constraints.
alter table score_version drop constraint score_version_taxon_id_fkey, drop constraint score_version_revision_id_fkey;
create function refuse_strangers() returns trigger language plpgsql as $$
begin
  if exists (select 1 from (select distinct taxon_id from added) as a where not exists (select 1 from taxon where id = a.taxon_id))
    or exists (select 1 from (select distinct revision_id from added) as a where not exists (select 1 from revision where id = a.revision_id))
  then raise exception 'a score of a taxon or a revision that is not there' using errcode = 'foreign_key_violation';
  end if;
  return null;
end $$;
create trigger score_version_known after insert on score_version
  referencing new table as added for each statement execute function refuse_strangers();
