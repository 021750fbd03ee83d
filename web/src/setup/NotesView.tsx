import { useMutation } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { faultsOf } from "../shared/api/faults";
import { Button } from "../shared/ui/Button";
import { Strip } from "../shared/ui/Strip";
import { Waiting } from "../shared/ui/Message";
import { SetupPart } from "./SetupPart";
import { useChoose, useMayChange } from "./useChoose";
import { useSettings } from "../shared/useSettings";

/** A pause in typing after which the preview follows. */
const PAUSE_MS = 400;

/** How the notes are laid out, each with a preview of an invented examination. */
export function NotesView() {
  const settings = useSettings();
  const [chosen, setChosen] = useState("note.short");
  if (!settings) {
    return <Waiting what="the notes" />;
  }
  const note = settings.notes.find((each) => each.name === chosen) ?? settings.notes[0];
  return (
    <SetupPart
      title="Notes"
      about="How the three notes are laid out. A name in double braces is filled in; a passage from {{#name}} to {{/name}} is left out where there is nothing to say."
    >
      <Strip label="Which note">
        {settings.notes.map((each) => (
          <Button
            key={each.name}
            look="choice"
            chosen={each.name === note?.name}
            onClick={() => {
              setChosen(each.name);
            }}
          >
            {each.label}
          </Button>
        ))}
      </Strip>
      {note && <Template key={note.name + note.value} note={note} names={settings.noteNames} />}
    </SetupPart>
  );
}

function Template({ note, names }: { note: Schemas["NoteSettingJson"]; names: readonly Schemas["NoteNameJson"][] }) {
  const may = useMayChange();
  const choose = useChoose();
  const area = useRef<HTMLTextAreaElement>(null);
  const [text, setText] = useState(note.value);
  const preview = useMutation({
    mutationFn: (template: string) => dataOf(api.POST("/api/settings/note-preview", { body: { template } })),
  });
  const { mutate } = preview;
  useEffect(() => {
    if (!may) {
      return undefined;
    }
    const timer = setTimeout(() => {
      mutate(text);
    }, PAUSE_MS);
    return () => {
      clearTimeout(timer);
    };
  }, [text, may, mutate]);
  const faults = faultsOf(preview.error);
  const fault = faults.template ?? faults.other;
  const insert = (name: string) => {
    const at = area.current?.selectionStart ?? text.length;
    setText(`${text.slice(0, at)}{{${name}}}${text.slice(at)}`);
    area.current?.focus();
  };
  return (
    <div className="mt-3 grid gap-5 xl:grid-cols-2">
      <div>
        <label htmlFor="template" className="text-read font-semibold">
          Layout
        </label>
        <textarea
          id="template"
          ref={area}
          rows={18}
          maxLength={4000}
          spellCheck={false}
          disabled={!may}
          value={text}
          aria-invalid={fault !== undefined}
          aria-describedby="template-fault"
          onChange={(event) => {
            setText(event.target.value);
            choose.reset();
          }}
          className="mt-1 w-full rounded border border-edge bg-sheet px-3 py-2 font-mono text-note aria-invalid:border-2 aria-invalid:border-for"
        />
        <p id="template-fault" role="status" className="min-h-6 text-note text-for">
          {fault}
        </p>
        {may && (
          <div className="flex flex-wrap gap-2">
            <Button
              look="primary"
              disabled={text === note.value || fault !== undefined || choose.isPending}
              onClick={() => {
                choose.mutate({ name: note.name, value: text });
              }}
            >
              Keep this layout
            </Button>
            <Button
              disabled={text === note.value}
              onClick={() => {
                setText(note.value);
              }}
            >
              Undo changes
            </Button>
            {note.value !== note.shipped && (
              <Button
                onClick={() => {
                  choose.mutate({ name: note.name });
                }}
              >
                Back to the one that ships
              </Button>
            )}
          </div>
        )}
        {choose.isError && (
          <p role="alert" className="text-note text-for">
            {faultsOf(choose.error).value ?? faultsOf(choose.error).other}
          </p>
        )}
      </div>
      <div>
        {may && (
          <section aria-label="Preview">
            <h2 className="text-read font-semibold">Preview, of an invented examination</h2>
            <pre
              tabIndex={0}
              className="mt-1 max-h-96 overflow-auto border border-line bg-sheet p-3 font-sans text-note whitespace-pre-wrap"
            >
              {preview.data?.text ?? "…"}
            </pre>
          </section>
        )}
        <h2 className="mt-4 text-read font-semibold">Names</h2>
        <ul className="mt-1 grid gap-x-3 sm:grid-cols-2">
          {names.map((each) => (
            <li key={each.name} className="flex items-center gap-2 border-t border-line py-1 text-note">
              {may ? (
                <button
                  type="button"
                  onClick={() => {
                    insert(each.name);
                  }}
                  className="min-h-9 rounded border border-edge bg-sheet px-2 font-mono hover:bg-tan"
                  title="Put in where the cursor stands"
                >
                  {each.name}
                </button>
              ) : (
                <code>{each.name}</code>
              )}
              <span>{each.says}</span>
            </li>
          ))}
        </ul>
      </div>
    </div>
  );
}
