import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { Quiz } from '@hurrow/contract/quizzes';
import { useQuery } from '@tanstack/react-query';
import { App, Button } from 'antd';
import { useSearchParams } from 'react-router';
import { call } from '../app/api.ts';
import { ImportFile } from '../app/ImportFile.tsx';
import { responseExample, toReplace } from './live.ts';
import { PaperEntry } from './PaperEntry.tsx';
import { marksQuery } from './quizData.ts';

interface Props {
  course: WholeCourse;
  quiz: Quiz;
}

/** Answers that were written on paper, line by line or as a file. */
export function FromPaper({ course, quiz, refresh }: Props & { refresh: () => Promise<void> }) {
  const { message } = App.useApp();
  const [search, setSearch] = useSearchParams();
  const mode = search.get('enter');
  const marks = useQuery({ ...marksQuery(quiz.id), enabled: mode === 'paper' });
  return (
    <>
      <h2>
        <Trans>Answers from paper</Trans>
      </h2>
      <p>
        <Button onClick={() => setSearch({ enter: 'paper' })}>
          <Trans>Enter papers</Trans>
        </Button>{' '}
        <Button onClick={() => setSearch({ enter: 'file' })}>
          <Trans>Import a response file</Trans>
        </Button>
      </p>
      {mode === 'paper' && <PaperEntry course={course} quiz={quiz} marks={marks.data} onStored={refresh} />}
      {mode === 'file' && (
        <ImportFile
          send={(body) =>
            call('POST /api/quizzes/{quizId}/responses/import', { params: { quizId: quiz.id }, body })
          }
          example={responseExample(course.marking.policy)}
          asksToReplace={toReplace}
          onDone={(_report, here) => {
            void message.success(t`The answers are imported.`);
            if (here) setSearch({});
            void refresh();
          }}
        />
      )}
    </>
  );
}
