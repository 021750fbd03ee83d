/** What stands in the way of a form as a whole, announced when it appears; nothing while nothing does. */
export function FormFault({ children, className = "" }: { children: string | undefined; className?: string }) {
  return (
    children && (
      <p role="alert" className={`border-l-4 border-for pl-3 text-read ${className}`}>
        {children}
      </p>
    )
  );
}
