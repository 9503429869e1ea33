import { Outlet } from "@tanstack/react-router";
import { useMe } from "@/shared/api/queries";
import { SignInPage } from "../features/sign-in/sign-in-page";

/** Nothing is shown to anybody who is not signed in. */
export function Gate() {
  const me = useMe();
  if (me.isPending) return <p className="p-8 text-soft">One moment …</p>;
  if (me.isError)
    return (
      <p className="p-8" role="alert">
        The server does not answer. It will be asked again when you reload.
      </p>
    );
  return me.data ? <Outlet /> : <SignInPage />;
}
