import WarningIcon from "@mui/icons-material/WarningAmberOutlined";
import { Box } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { get } from "../api/client";

// Whoever reaches a server that others can reach may change everything, until there is a sign-in.
export function OpenServer() {
  const server = useQuery({
    queryKey: ["server"],
    queryFn: ({ signal }) => get<{ open: boolean }>("/api/server", signal),
    staleTime: Infinity,
  });
  if (!server.data?.open) return null;
  return (
    <Box
      role="alert"
      sx={{
        display: "flex",
        alignItems: "center",
        gap: 1,
        px: 2.5,
        py: 0.5,
        fontSize: 14,
        bgcolor: "background.paper",
        borderBottom: 2,
        borderColor: "warning.main",
        flexShrink: 0,
      }}
    >
      <WarningIcon fontSize="small" sx={{ color: "warning.main" }} />
      <span>
        This server can be reached from other machines and has no sign-in yet:{" "}
        <b>anyone on the network can read, change and remove every book.</b> Start it without BIND to close it.
      </span>
    </Box>
  );
}
