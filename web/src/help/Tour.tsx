import type { ReactNode } from "react";

const FRAME = "0 0 160 96";

/** The four steps of an examination, each as a picture with a line of words. */
const STEPS: readonly { name: string; says: string; picture: ReactNode }[] = [
  {
    name: "Tell",
    says: "Tap where it hurts and what was told. Each condition gets a start.",
    picture: (
      <>
        <circle cx={80} cy={18} r={10} fill="none" stroke="var(--color-ink)" strokeWidth={2} />
        <path
          d="M52 88c0-34 8-54 28-54s28 20 28 54"
          fill="var(--color-sheet)"
          stroke="var(--color-ink)"
          strokeWidth={2}
        />
        <circle cx={101} cy={46} r={11} fill="var(--color-for-wash)" stroke="var(--color-for)" strokeWidth={2} />
      </>
    ),
  },
  {
    name: "Plan",
    says: "Say how many minutes there are: the tests come in an order that spares the patient.",
    picture: (
      <>
        {[12, 30, 42, 72, 84, 102, 126].map((x, index) => (
          <rect
            key={x}
            x={x}
            y={30}
            width={[16, 10, 26, 10, 16, 22, 22][index]}
            height={22}
            fill={index > 3 ? "var(--color-edge)" : "var(--color-ink)"}
          />
        ))}
        <path d="M12 62h70M84 62h64" stroke="var(--color-ink)" strokeWidth={2} />
      </>
    ),
  },
  {
    name: "Tap",
    says: "One test at a time. The usual answers are one tap, and are read at once.",
    picture: (
      <>
        <rect
          x={14}
          y={30}
          width={132}
          height={34}
          fill="var(--color-sheet)"
          stroke="var(--color-edge)"
          strokeWidth={2}
        />
        <rect x={58} y={30} width={44} height={34} fill="var(--color-ink)" />
        <path d="M102 30v34" stroke="var(--color-edge)" strokeWidth={2} />
        <circle cx={82} cy={66} r={9} fill="var(--color-tan)" stroke="var(--color-ink)" strokeWidth={2} />
      </>
    ),
  },
  {
    name: "Weigh",
    says: "Each finding is a weight for or against. You conclude; Lexicor shows why and how sure.",
    picture: (
      <>
        <path d="M14 62L146 42" stroke="var(--color-ink)" strokeWidth={3} />
        <path d="M80 52l12 28H68z" fill="none" stroke="var(--color-ink)" strokeWidth={2} />
        <rect x={96} y={26} width={34} height={18} fill="var(--color-for)" transform="rotate(-9 113 35)" />
        <rect x={34} y={40} width={18} height={16} fill="var(--color-against)" transform="rotate(-9 43 48)" />
      </>
    ),
  },
];

/** An examination in four pictures. */
export function Tour() {
  return (
    <ol className="grid grid-cols-2 gap-x-6 gap-y-4 lg:grid-cols-4">
      {STEPS.map((step, index) => (
        <li key={step.name}>
          <svg viewBox={FRAME} aria-hidden="true" className="w-full max-w-56 bg-sheet">
            {step.picture}
          </svg>
          <p className="mt-1 text-read leading-snug">
            <strong>
              {index + 1}. {step.name}.
            </strong>{" "}
            {step.says}
          </p>
        </li>
      ))}
    </ol>
  );
}
