# frozen_string_literal: true

module TileLoom
  module Output
    # What PDF files carry beside their pages.
    class PdfManner < Values::Value
      # In the file as it is opened, and on paper.
      layer =
        Values::Record.new(
          "pdf_layer",
          {
            id: Values::Part.new(:id, Values::Types::ID, required: true),
            shown: Values::Part.new(:shown, Values::Flag.new, default: true),
            printed:
              Values::Part.new(
                :printed,
                Values::Choice.new("as shown" => "as shown", :always => "always", :never => "never"),
                default: "as shown"
              )
          },
          about: "How a layer is found when the file is opened, and whether it is printed."
        ) { |**parts| LayerState.new(**parts) }

      LayerState = Struct.new(:id, :shown, :printed, keyword_init: true)

      object_data =
        Values::Record.new(
          "pdf_object_data",
          {
            layer: Values::Part.new(:layer, Values::Types::ID, required: true),
            fields:
              Values::Part.new(
                :fields,
                Values::List.new(Values::Text.new(least: 1, most: 200), most: 100),
                about: "All of them where none is named."
              )
          },
          about: "A layer whose features carry their attributes."
        ) { |**parts| ObjectData.new(**parts) }

      ObjectData = Struct.new(:layer, :fields, keyword_init: true)

      STANDARDS = {none: "no standard", pdf_a_2u: "PDF/A-2u", pdf_a_3u: "PDF/A-3u", pdf_x_4: "PDF/X-4"}.freeze

      define "pdf_manner", about: "What PDF files carry beside their pages."
      part :version, choice("1.7", "2.0"), default: "1.7"
      part :standard, choice(**STANDARDS), default: "none"
      part :colours,
        choice(screen: "RGB", press: "CMYK and spot"),
        default: "screen",
        about: "Colours of the screen, or those of the book's palette and of a printing press."
      part :profile,
        Values::Types::ID,
        default: "coated",
        about: "Of the press: a shipped colour profile, or one of the book's own."
      part :tagged, flag, default: false, about: "With the structure that screen readers go by."
      part :own_links, flag, key: "links", default: true
      part :georeferenced, flag, default: true
      part :switchable, flag, default: true, about: "Can a reader switch the layers?"
      part :layers, list(layer, most: 500), default: []
      part :object_data, list(object_data, most: 500), default: []
      part :attach_book, flag, default: false
      part :attach_data, flag, default: false
      part :opens_at,
        choice(:page => "whole page", :width => "fit width", "actual size" => "actual size"),
        default: "page"
      part :panel, choice(bookmarks: "bookmarks", layers: "layers", none: "nothing"), default: "bookmarks"
      part :linearized, flag, default: false, about: "Readable over a network before all of it is there."
      part :protected, flag, default: false, about: "With a password, which is asked for when it is exported."
      part :printing,
        choice(full: "high resolution", low: "low resolution", none: "none"),
        default: "full",
        about: "What a protected file lets its reader print."
      part :changing, flag, default: false
      part :copying, flag, default: false

      def archive? = standard.start_with?("pdf_a")

      def exchange? = standard == "pdf_x_4"

      # Colours as a press lays them down.
      def press? = colours == "press" || exchange?

      # Of the file's head. PDF/X-4 is of PDF 1.6 (ISO 15930-7, 6.1), PDF/A-2 and -3 of ISO 32000-1.
      def file_version
        return "1.6" if exchange?
        archive? ? "1.7" : version
      end

      # Actions may not stand in PDF/X-4 (ISO 15930-7, 6.20).
      def links? = own_links? && !exchange?

      def attachments? = attach_book? || attach_data?

      private

      def settle
        clash("attachments") if attachments? && %w[pdf_a_2u pdf_x_4].include?(standard)
        clash("a password") if protected? && standard != "none"
        clash("version 2.0") if version == "2.0" && standard != "none"
      end

      def clash(what)
        raise Refusal.new("output.standard_clash", what: what, standard: STANDARD_NAMES.fetch(standard), at: path)
      end

      STANDARD_NAMES = {"pdf_a_2u" => "PDF/A-2u", "pdf_a_3u" => "PDF/A-3u", "pdf_x_4" => "PDF/X-4"}.freeze
    end
  end
end
