# frozen_string_literal: true

module App
  # A book's notes as a file in an open format, as a layer's features are.
  class NotesExport < LayerExport
    def initialize(document, format)
      @notes = document.contents.notes
      @file = file("notes", format, document.crs)
    end

    private

    def features = @notes.features.lazy
  end
end
