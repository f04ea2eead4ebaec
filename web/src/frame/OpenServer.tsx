import { useQuery } from "@tanstack/react-query";
import { get } from "../api/client";
import { Banner } from "./Banner";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

/** Whoever reaches a server that others can reach may change everything, until there is a sign-in. */
export function OpenServer() {
  const server = useQuery({
    queryKey: ["server"],
    queryFn: ({ signal }) => get<{ open: boolean }>("/api/server", signal),
    staleTime: Infinity,
  });
  if (!server.data?.open) return null;
  return (
    <Banner sx={{ fontSize: 14 }}>
      <span>
        {rich(
          t(
            "This server can be reached from other machines and has no sign-in yet: <1/> Start it without BIND to close it.",
          ),
          { 1: <b>{t("anyone on the network can read, change and remove every book.")}</b> },
        )}
      </span>
    </Banner>
  );
}
