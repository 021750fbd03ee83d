import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState, type SyntheticEvent } from "react";
import { useNavigate } from "react-router";
import { TopBar } from "../session";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { faultsOf } from "../shared/api/faults";
import { keys } from "../shared/api/keys";
import { keepDraft, keptDraft } from "../shared/offline/draft";
import { affected, capital, complaintWords, settingWords } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { FormFault } from "../shared/ui/FormFault";
import { ChoiceGroup } from "../shared/ui/ChoiceGroup";
import { TextField } from "../shared/ui/TextField";
import { lastSetting, rememberSetting } from "./lastSetting";
import { BodyFigure, type Region } from "./BodyFigure";
import { DetailFields, detailsOf, EMPTY_DETAILS, type DetailDraft } from "./DetailFields";

/** A case to begin; without a code it gets the one that is proposed. */
type NewCase = Omit<Schemas["NewCase"], "code"> & { code: string | undefined };
type Visit = Schemas["VisitRequest"];

const DRAFT = "new-case";

const PROPOSED_CODE = {
  queryKey: keys.nextCode,
  queryFn: () => dataOf(api.GET("/api/cases/next-code")),
  staleTime: 0,
};

interface Draft {
  caseId: string;
  visitId: string;
  code: string | undefined;
  details: DetailDraft;
  region: Region | undefined;
  side: Visit["side"] | undefined;
  worse: "LEFT" | "RIGHT" | undefined;
  setting: Visit["setting"];
}

function restore(): Draft {
  return (
    (keptDraft(DRAFT, window.sessionStorage) as Draft | undefined) ?? {
      caseId: crypto.randomUUID(),
      visitId: crypto.randomUUID(),
      code: undefined,
      details: EMPTY_DETAILS,
      region: undefined,
      side: undefined,
      worse: undefined,
      setting: lastSetting(),
    }
  );
}

/** Begins a case: one tap on the figure is enough. What is typed survives a reload. */
export function StartView() {
  const [draft, setDraft] = useState(restore);
  const navigate = useNavigate();
  const cache = useQueryClient();
  const next = useQuery(PROPOSED_CODE);
  const start = useMutation({
    mutationFn: async (body: NewCase) => {
      const code = body.code ?? (await cache.query(PROPOSED_CODE)).code;
      return dataOf(api.POST("/api/cases", { body: { ...body, code } }));
    },
    onSuccess: (examination) => {
      keepDraft(DRAFT, undefined, window.sessionStorage);
      rememberSetting(examination.setting);
      cache.setQueryData(keys.examination(examination.id), examination);
      void navigate(`/examinations/${examination.id}/intake`);
    },
  });
  const [local, setLocal] = useState<Record<string, string>>({});
  const faults = { ...faultsOf(start.error), ...local };
  const change = (part: Partial<Draft>) => {
    const changed = { ...draft, ...part };
    keepDraft(DRAFT, changed, window.sessionStorage);
    setDraft(changed);
    setLocal({});
    start.reset();
  };
  const code = draft.code ?? next.data?.code ?? "";
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    const { region, side, worse } = draft;
    const typed = draft.code?.trim();
    const details = detailsOf(draft.details);
    if (!region || !side || (side === "BOTH" && !worse) || "fault" in details) {
      setLocal({
        ...(!region ? { region: "Tap the joint that hurts." } : {}),
        ...(side === "BOTH" && !worse ? { worse: "Which side is worse? It is the one that is weighed." } : {}),
        ...("fault" in details ? details.fault : {}),
      });
      return;
    }
    start.mutate({
      id: draft.caseId,
      code: typed === "" ? undefined : typed,
      details: details.details,
      visit: {
        id: draft.visitId,
        region,
        side,
        setting: draft.setting,
        ...(side === "BOTH" && worse ? { worse } : {}),
      },
    });
  };
  return (
    <div className="mx-auto max-w-6xl px-5 pb-8">
      <TopBar />
      <main>
        <h1 className="mt-4 font-serif text-head font-semibold">New patient</h1>
        <form noValidate onSubmit={submit} className="mt-2 grid gap-x-10 gap-y-4 lg:grid-cols-[1fr_1fr]">
          <section aria-labelledby="where">
            <h2 id="where" className="text-xl font-semibold">
              Where does it hurt?
            </h2>
            <p className="text-note text-soft">One tap. Tap the other side as well if both hurt.</p>
            <BodyFigure
              region={draft.region}
              side={draft.side}
              onChoose={(region, side) => {
                change({ region, side });
              }}
            />
            <p role="status" className="mt-1 min-h-7 text-center text-read font-semibold">
              {draft.region && draft.side && capital(complaintWords(draft.side, draft.region))}
            </p>
            {faults.region && (
              <p role="alert" className="text-center text-note text-for">
                {faults.region}
              </p>
            )}
            {draft.side === "BOTH" && (
              <ChoiceGroup
                id="worse"
                label="Which side is worse?"
                fault={faults.worse}
                value={draft.worse}
                options={[
                  ["RIGHT", "Right"],
                  ["LEFT", "Left"],
                ]}
                onChoose={(worse) => {
                  change({ worse: worse === "LEFT" ? "LEFT" : "RIGHT" });
                }}
              />
            )}
          </section>
          <section aria-labelledby="who" className="flex flex-col gap-4">
            <div>
              <h2 id="who" className="text-xl font-semibold">
                Who is it?
              </h2>
              <p className="text-note text-soft">Only the code is needed. All the rest can follow later.</p>
            </div>
            {/* once somebody is in the field, a suggestion that comes late must not mix with what is typed */}
            <TextField
              id="code"
              label="Case code"
              value={code}
              fault={faults.code}
              onChange={(typed) => {
                change({ code: typed });
              }}
              className="max-w-60"
              onFocus={() => {
                if (draft.code === undefined) {
                  change({ code });
                }
              }}
              onBlur={() => {
                if (draft.code === "") {
                  change({ code: undefined });
                }
              }}
            />
            <DetailFields
              draft={draft.details}
              faults={faults}
              onChange={(details) => {
                change({ details });
              }}
            />
            <ChoiceGroup
              id="setting"
              label="Where the patient is seen"
              hint="Decides where the chances start. They are working estimates."
              value={draft.setting}
              options={[
                ["FIRST_CONTACT", settingWords("FIRST_CONTACT")],
                ["SPECIALIST", settingWords("SPECIALIST")],
              ]}
              onChoose={(setting) => {
                change({ setting: setting === "SPECIALIST" ? "SPECIALIST" : "FIRST_CONTACT" });
              }}
            />
            <FormFault>{faults.other}</FormFault>
            <div>
              <Button type="submit" look="primary" disabled={start.isPending} className="min-h-14 px-6 text-xl">
                {start.isPending
                  ? "Starting …"
                  : draft.region && draft.side
                    ? `Start: ${draft.side === "BOTH" ? affected(draft.worse ?? "RIGHT", true, draft.region).replace(/,.*/, "") : affected(draft.side, false, draft.region)}`
                    : "Start"}
              </Button>
            </div>
          </section>
        </form>
      </main>
    </div>
  );
}
