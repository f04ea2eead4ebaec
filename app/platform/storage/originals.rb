# frozen_string_literal: true

module App
  # The files that layers came from, as they came.
  Originals = KeptFiles.new("ORIGINALS", "originals")
end
