import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { Button } from '../ui/button.tsx';

/** Opens a project file that was downloaded at Deliver, here or elsewhere, as a project of its own. */
export function OpenFileButton() {
  const navigate = useNavigate();
  const field = useRef<HTMLInputElement>(null);
  const [progress, setProgress] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const open = async (file: File) => {
    setFault(null);
    setProgress('Reading the file …');
    try {
      const { openProjectFile } = await import('./open-file.ts');
      navigate(`/p/${await openProjectFile(file, setProgress)}/grow`);
    } catch (error) {
      setFault(error instanceof Error ? error.message : 'The file could not be opened.');
      setProgress(null);
    }
  };
  return (
    <div className="flex flex-wrap items-center gap-3">
      <input
        ref={field}
        type="file"
        accept=".mintlamp,application/zip"
        aria-label="Project file"
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          // The same file can be chosen again.
          event.target.value = '';
          if (file) void open(file);
        }}
      />
      <Button small disabled={progress !== null} onClick={() => field.current?.click()}>
        Open a project file
      </Button>
      {progress && (
        <span role="status" className="text-quiet">
          {progress}
        </span>
      )}
      {fault && (
        <span role="alert" className="text-fail">
          {fault}
        </span>
      )}
    </div>
  );
}
