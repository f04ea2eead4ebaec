# frozen_string_literal: true

module App
  # The files that the press made.
  Finished = KeptFiles.new("FINISHED", "finished")
end
