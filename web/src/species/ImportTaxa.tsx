import { App } from 'antd';
import { useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { ImportFile } from '../app/ImportFile.tsx';

const EXAMPLE = `scientific name,family,common names,calendar.leaves,foliage.kind,leaf.shape,leaf.length,twig.arrangement
Acer rubrum,Sapindaceae,"red maple, soft maple",1 May – 20 Oct,broad blade,ovate,6–10 cm,opposite
Ulmus americana,Ulmaceae,American elm,5 May – 15 Oct,broad blade,ovate; sometimes elliptic,3–6 in,alternate`;

/** Imports species from a taxa × characters table, after showing what it would do. */
export function ImportTaxa({ courseId }: { courseId: string }) {
  const queries = useQueryClient();
  const go = useNavigate();
  const { message } = App.useApp();
  return (
    <section className="editor">
      <h1>Import species</h1>
      <p className="quiet">
        One row a species. The columns “scientific name” and “family” are needed; others are names,
        “calendar.leaves” and the like, and any character by its id. States part by semicolons, with
        “sometimes” or “rarely” before them; ranges as you write them.
      </p>
      <ImportFile
        path="/api/library/import"
        example={EXAMPLE}
        onDone={(report) => {
          void queries.invalidateQueries({ queryKey: ['library'] });
          void message.success(`${report.added.length + report.changed.length} species imported.`);
          void go(`/c/${courseId}/species`);
        }}
      />
    </section>
  );
}
