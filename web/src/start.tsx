import { CssBaseline, ThemeProvider } from "@mui/material";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { BrowserRouter } from "react-router";
import { App } from "./App";
import "./fonts.css";
import { Mishap } from "./frame/Mishap";
import "ol/ol.css";
import { theme } from "./theme/theme";

const client = new QueryClient({ defaultOptions: { queries: { retry: 1, staleTime: 1000 } } });

/** Shows the application. */
export const start = () =>
  createRoot(document.getElementById("root")!).render(
    <StrictMode>
      <ThemeProvider theme={theme} defaultMode="light">
        <CssBaseline />
        <QueryClientProvider client={client}>
          <BrowserRouter>
            <Mishap>
              <App />
            </Mishap>
          </BrowserRouter>
        </QueryClientProvider>
      </ThemeProvider>
    </StrictMode>,
  );
