# frozen_string_literal: true

module App
  # A book's notes as a file in an open format, as a layer's features are.
  class NotesExport
    def initialize(document, format)
      @notes = document.contents.notes
      @file =
        TileLoom::Data::VectorFile.new("notes", format, crs: document.crs, among: LayerExport::FORMATS, of: "layers")
    end

    def type = @file.type

    def name = @file.name

    # Yields the finished file, which is gone after the block.
    def make(&block) = @file.make(@notes.features.lazy, &block)
  end
end
