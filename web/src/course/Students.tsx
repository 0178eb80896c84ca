import { App, Button } from 'antd';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { messageOf, remove } from '../app/api.ts';
import type { Course } from '../app/data.ts';
import { ImportFile } from '../app/ImportFile.tsx';

/** The class list with the codes that students sign in with. */
export function Students({ course }: { course: Course }) {
  const [importing, setImporting] = useState(course.students.length === 0);
  const queries = useQueryClient();
  const { message } = App.useApp();
  const refresh = () => queries.invalidateQueries({ queryKey: ['course', course.id] });
  const takeOff = async (id: string) => {
    try {
      await remove(`/api/courses/${course.id}/students/${id}`);
      await refresh();
    } catch (error) {
      void message.error(messageOf(error));
    }
  };
  return (
    <>
      <p>
        Students open this page’s address on their phones and sign in with the course code{' '}
        <strong className="code">{course.code}</strong> and their own code. No e-mail and no password.
      </p>
      {importing ? (
        <>
          <h2>Import a class list</h2>
          <ImportFile
            path={`/api/courses/${course.id}/students/import`}
            example={'name\nRowan Achterberg\nSelma Idowu'}
            onDone={(report) => {
              void message.success(`${report.added.length} students added.`);
              setImporting(false);
              void refresh();
            }}
          />
          {course.students.length > 0 && (
            <Button type="link" onClick={() => setImporting(false)}>
              Close
            </Button>
          )}
        </>
      ) : (
        <Button onClick={() => setImporting(true)}>Import a class list</Button>
      )}
      {course.students.length > 0 && (
        <table className="plain-table students">
          <thead>
            <tr>
              <th>Name</th>
              <th>Personal code</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {course.students.map((student) => (
              <tr key={student.id}>
                <td>{student.name}</td>
                <td>
                  <span className="code">{student.code}</span>
                </td>
                <td>
                  <Button size="small" type="text" onClick={() => void takeOff(student.id)}>
                    Take off the list
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}
