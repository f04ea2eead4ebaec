# frozen_string_literal: true

require "date"
require "json"

module TileLoom
  module Document
    # A book as the rest of the core sees it: read from the document, checked against the schema.
    class Book
      LARGEST_BYTES = 200 * 1024 * 1024

      attr_reader :settings, :enclosures

      # Reads JSON text; Invalid for what is not JSON.
      def self.parse(text, enclosures: TileLoom::Assets::Enclosures.none)
        raise Invalid.new("The book is larger than #{LARGEST_BYTES / 1024 / 1024} MB.") if text.bytesize > LARGEST_BYTES
        new(Assets::JsonText.parse(text, what: "The book"), enclosures: enclosures)
      end

      # settings: the parsed document. Refuses one that does not fit the schema; fits: it is known to, since
      # it was checked when it was kept. enclosures: where the bytes of its typefaces and pictures are.
      def initialize(settings, fits: false, enclosures: TileLoom::Assets::Enclosures.none)
        @settings, @enclosures = settings, enclosures
        return if fits
        findings =
          settings.is_a?(Hash) ? Schema.findings(settings) : [Invalid.new("The book is not a JSON object.", path: "/")]
        raise findings.first unless findings.empty?
      end

      %w[title subtitle author subject edition source date].each { |name| define_method(name) { settings[name] } }

      def parsed_date
        (date.to_s == "") ? nil : Date.iso8601(date)
      rescue Date::Error
        raise Invalid.new("“#{date}” is not a day of the calendar.", path: "/date")
      end

      # How other datums are brought to the book's own.
      def operations = @operations ||= Crs::Operations.new(settings["operations"])

      # PROJ objects belong to threads, so the reference is looked up anew for each.
      def crs
        Crs::System.find(settings["reference"], operations: operations).for_fixed_scale!
      rescue Invalid => error
        raise Invalid.new(error.message, path: "/reference")
      end

      def layers =
        @layers ||=
          settings["layers"].each_with_index.map do |layer, index|
            TileLoom::Symbology::Layer.new(layer, drawings: markers, faces: faces, path: "/layers/#{index}")
          end

      # The drawings of point markers: the shipped ones and the book's own.
      def markers = @markers ||= TileLoom::Symbology::MarkerSet.new(settings.fetch("markers", []))

      # The typefaces: the shipped ones and the book's own.
      def faces = @faces ||= Type::FaceSet.new(settings.fetch("faces", []), enclosures: @enclosures)

      # The book's own pictures.
      def pictures = @pictures ||= Artwork::PictureSet.new(settings.fetch("pictures", []), enclosures: @enclosures)

      def layout = @layout ||= Layout::Layout.new(settings["layout"], faces: faces)

      # The design of the key sheet, or nil where the book has none.
      def key_layout =
        @key_layout ||=
          settings["key_layout"] && Layout::Layout.new(settings["key_layout"], faces: faces, path: "/key_layout")

      def index = @index ||= Index::Spec.new(settings["index"])

      # The cells of the index over the study area that the source holds.
      def cells(source) = @cells ||= weave(source).cells

      # What the block gives, worked out once for this document: parts of drawings that every sheet has.
      def once(key) = (@once ||= {})[key] ||= yield

      # Where in the book the page of a cell comes, from 1: after the key sheet, if there is one.
      def page_number(cell) = cell.number + (key_layout ? 1 : 0)

      # Which cells lie next to which.
      def neighbours(source) = @neighbours ||= Index::Neighbours.new(cells(source))

      # Uses cells that were woven before (and kept elsewhere) in place of weaving again.
      def with_cells(cells) = tap { @cells, @neighbours = cells, nil }

      # before, afresh: see Index#weave.
      def weave(source, before: [], afresh: false) =
        index.weave(crs: crs, frame: layout.frame_box, source: source, before: before, afresh: afresh)

      # What the cells as they are come to: a Index::Answer.
      def cover(source) = index.cover(cells(source), crs: crs, frame: layout.frame_box, source: source)

      # What the index must cover.
      def study_area(source) = index.study_area(crs: crs, source: source)
    end
  end
end
