import { Autocomplete, Box, TextField } from "@mui/material";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { get } from "../api/client";
import type { CrsFound as Found, CrsSuggestion as Suggestion } from "../generated/answers";
import { t } from "../texts/t";

export type { Suggestion };

interface Option {
  code: string;
  name: string;
  why: string;
  group: string;
}

/** A coordinate reference: one that suits the ground, with its reason, or any other by name, code or place. */
export function ReferenceField({
  value,
  onChange,
  suggestions,
  label = t("Coordinate reference system (CRS)"),
  help,
  onPick,
}: {
  value: string;
  onChange: (code: string) => void;
  onPick?: (code: string) => void;
  suggestions: Suggestion[];
  label?: string;
  help: string;
}) {
  const asked = value.trim();
  const search = useQuery({
    queryKey: ["references", asked],
    queryFn: ({ signal }) => get<Found[]>(`/api/references?search=${encodeURIComponent(asked)}`, signal),
    enabled: asked.length >= 2 && asked.length <= 200 && !asked.startsWith("+"),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
  const fitting: Option[] = suggestions.map(({ code, name, reason }) => ({
    code,
    name,
    why: reason,
    group: t("For this ground"),
  }));
  const found: Option[] =
    asked.length >= 2
      ? (search.data ?? []).map(({ code, name, area }) => ({ code, name, why: area, group: t("Found") }))
      : [];
  // What was asked for comes first; what suits the ground is there without asking.
  const options = [...found, ...fitting.filter((option) => !found.some((known) => known.code === option.code))];
  return (
    <Autocomplete<Option, false, false, true>
      freeSolo
      openOnFocus
      options={options}
      inputValue={value}
      filterOptions={(all) => all}
      groupBy={(option) => option.group}
      slotProps={{ popper: { placement: "bottom-end", style: { width: 400 } } }}
      getOptionLabel={(option) => (typeof option === "string" ? option : option.code)}
      getOptionKey={(option) => (typeof option === "string" ? option : option.group + option.code)}
      onInputChange={(_, text) => onChange(text)}
      onChange={(_, option) => {
        if (option) onPick?.(typeof option === "string" ? option.trim() : option.code);
      }}
      renderOption={({ key, ...props }, option) => (
        <Box component="li" key={key} {...props} sx={{ display: "block !important" }}>
          <Box sx={{ fontSize: 14 }}>
            <b>{option.name}</b>
            {option.code.startsWith("+") ? "" : ` · ${option.code}`}
          </Box>
          <Box sx={{ fontSize: 12.5, color: "text.secondary" }}>{option.why}</Box>
        </Box>
      )}
      renderInput={(params) => <TextField {...params} label={label} helperText={help} />}
    />
  );
}
