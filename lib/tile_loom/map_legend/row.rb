# frozen_string_literal: true

module TileLoom
  module MapLegend
    # One row of a legend as it was arranged by hand. A kind of row is a file in rows/: it declares its parts, says of
    # which entries of the map it is, and answers `block(placed, manner, width)` with a Block, or nil where a sheet has
    # nothing of it.
    class Row < Values::Value
      extend Values::Kind

      def self.read(given, path: "", assets: nil) = Rows.of(given["kind"]).new(given, path: path, assets: assets)

      def self.union = @union ||= Values::OneOfKinds.new("legend_row", Row, required: ["kind"]) { Rows }

      define
      identified
      part :kind, Values::Plain.new({"type" => "string"}), required: true
      part :shown_on, Index::ShownOn.type, about: "On which sheets it stands; without it on all."

      # Keys of the Symbology::LegendEntry that it stands for.
      def keys = []

      # Is it left out by hand?
      def hidden? = false

      # Does it stand above what follows, so that it goes where that goes?
      def heading? = false

      # Does it stand on a sheet (Compose::SheetComposer)?
      def on?(sheet) = shown_on.nil? || shown_on.holds?(sheet)

      # Is it on a sheet that shows these entries of its own?
      def shown?(_entries) = true

      # Live texts, as [path, template].
      def templates = []

      def check_drawings = nil

      # What it is called where it is listed; entries: those of the map that it stands for.
      def name(_entries) = ""
    end
  end
end
