import type { ReactNode } from "react";
import { ErrorBoundary, type FallbackProps } from "react-error-boundary";
import { useLocation } from "react-router";
import { Button } from "./Button";
import { Message } from "./Message";

/** Keeps a fault of one view from taking the others with it. Going to another view begins anew. */
export function Safe({ children }: { children: ReactNode }) {
  const { pathname } = useLocation();
  return (
    <ErrorBoundary FallbackComponent={Broken} resetKeys={[pathname]}>
      {children}
    </ErrorBoundary>
  );
}

function Broken({ error, resetErrorBoundary }: FallbackProps) {
  return (
    <div role="alert">
      <Message
        title="This view cannot be shown"
        action={
          <div className="flex flex-wrap gap-2">
            <Button look="primary" onClick={resetErrorBoundary}>
              Try again
            </Button>
            <Button
              onClick={() => {
                window.location.reload();
              }}
            >
              Load the page anew
            </Button>
          </div>
        }
      >
        What you recorded is safe, on the server or in this browser, and the other views still work. If it stays like
        this, tell whoever looks after Lexicor:{" "}
        <code className="text-note">{error instanceof Error ? error.message : String(error)}</code>
      </Message>
    </div>
  );
}
