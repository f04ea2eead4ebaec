import type { Start as Started, StartProposal as Proposal } from "../generated/answers";

export type { Proposal, Started };
