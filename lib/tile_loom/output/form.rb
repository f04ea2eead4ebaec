# frozen_string_literal: true

module TileLoom
  module Output
    # A form in which a book is handed on. A form is a file in forms/: it declares itself and its parts, says what files
    # it comes to, and makes them. It is paged, where the pages of sheets are drawn apart from each other and bound into
    # one file, or makes a file (or a few that belong together) of each item by itself.
    class Form < Values::Value
      extend Values::Kind

      # A form of the kind that the object names.
      def self.read(given, path: "", assets: nil) = Forms.of(given["kind"]).new(given, path: path, assets: assets)

      class << self
        # What a name of its files is made of where the order names no other.
        def file_name(pattern = nil) = pattern ? @file_name = pattern : @file_name

        # What is said of it where it is chosen.
        def about(text = nil) = text ? @about = text : @about

        # Are pages bound into one file?
        def paged? = false
      end

      # The Type of forms of all kinds.
      def self.union = @union ||= Values::OneOfKinds.new("form", Form, required: %w[kind]) { Forms }

      define
      part :kind, Values::Plain.new({"type" => "string"}), required: true

      def paged? = self.class.paged?

      # Of the main file of an item, with the dot.
      def ending = raise(NotImplementedError)

      # The PdfManner of the pages that it is made of.
      def manner = PdfManner.plain

      # What it is made of: see Press#picked.
      def items(press) = press.picked

      # [width, height] in pixels of an item's picture, or nil for a form without pixels.
      def pixels(_press, _item) = nil

      # Refuses what cannot be made, before any of it is. press: a Press.
      def check(_press) = nil

      # What differs from what one would expect, in sentences.
      def notices(_press) = []

      # Paged: writes the pages into the file. sheets: {number → name} of those that it has.
      def bind(_press, _pages, _path, secrets: nil) = raise(NotImplementedError)

      # Else: writes the files of an item into a folder; name: of the main one. Returns their names.
      def make(_press, _item, _folder, _name, secrets: nil) = raise(NotImplementedError)

      # What is likely to come of it: [bytes, seconds on one core], from a sample that is drawn for it.
      def estimate(press, items)
        sample = press.sample(items) or return 0, 0.0
        [sample.bytes * items.length + FONTS_BYTES, sample.seconds * items.length]
      end

      # Typefaces of a document, about.
      FONTS_BYTES = 120_000
    end
  end
end
