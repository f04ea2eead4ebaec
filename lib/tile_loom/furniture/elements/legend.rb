# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # What the symbols of the map mean: rows for the rules, classes and ramps that the sheet (or the book) shows, as
      # the map has them or as they were arranged by hand.
      class Legend < Element
        kind "legend", "Legend", rank: 5
        size_mm 50, 80
        start "size_pt" => 8, "pitch_mm" => 5.4, "minimum_pt" => 6, "most_columns" => 2

        include Backed
        include Backed::Cornered
        include Continuing

        part :content,
          choice(
            sheet: "what this sheet shows",
            book: "what any sheet of the book shows",
            hand: "the rows that are listed alone"
          ),
          default: "sheet",
          about: "What the sheet shows, what any sheet of the book shows, or the rows alone that are listed."
        part :frame, Values::Types::ID, about: "Whose map it explains; the page's main frame where none is named."
        part :layers, list(Values::Types::ID, most: 500), about: "The layers that it explains; without them all."
        part :headings,
          choice(none: "none", layers: "layers’ titles", groups: "groups of layers"),
          default: "none",
          about: "Above the rows of a legend that nobody has arranged."
        part :rows,
          list(MapLegend::Row.union, most: 500, ids: Values::EntryIds.new("row")),
          default: [],
          about: "As they were arranged by hand."
        part :legend_title, text(most: 500), about: "Above all rows, with live text."
        part :pitch_mm, number(above: 0, most: 100), default: 5.2, about: "Height of a row of one line."
        part :face, Values::Types::FACE, default: "sans"
        part :size_pt, Values::Types::SIZE_PT, default: 8
        part :colour, Values::Types::COLOUR, default: "#1f2a30"
        part :title_face, Values::Types::FACE, default: "sans-semibold"
        part :title_pt, Values::Types::SIZE_PT, about: "A quarter larger than the rows where it is not given."
        part :heading_face, Values::Types::FACE, default: "sans-semibold"
        part :heading_pt, Values::Types::SIZE_PT, about: "That of the rows where it is not given."
        part :heading_gap_mm, number(0..100), default: 1.2, about: "Above a heading, and below the title."
        part :note_face, Values::Types::FACE, default: "sans-italic"
        part :note_pt, Values::Types::SIZE_PT, about: "That of the rows where it is not given."
        part :minimum_pt, Values::Types::SIZE_PT, about: "Down to which size it may shrink to fit its box."
        part :sample_width_mm, number(above: 0, most: 100), default: 8
        part :sample_height_mm, number(above: 0, most: 100), default: 3
        part :label_gap_mm, number(0..100), default: 2.5, about: "Between a sample and the words beside it."
        part :area_sample, choice { MapLegend::Samples.keys_for(:area) }, default: "rectangle"
        part :line_sample, choice { MapLegend::Samples.keys_for(:line) }, default: "straight"
        part :sample_drawing, Values::Types::ID, about: "One of the book's own markers, for samples of one's own shape."
        part :columns, whole(1..12), default: 1
        part :most_columns, whole(1..12), about: "Up to how many columns it may have where its rows do not fit."
        part :column_gap_mm, number(0..200), default: 4
        part :padding_mm, Values::Types::LENGTH_MM, default: 0
        part :stroke, Scene::Stroke::TYPE, under: {"join" => "miter"}
        part :grows_from,
          choice(
            "top left" => "grows from the top left",
            "top right" => "grows from the top right",
            "bottom left" => "grows from the bottom left",
            "bottom right" => "grows from the bottom right"
          ),
          about: "It takes up what its rows need, from this corner of its box and no further than that."

        def self.turns? = false

        def explains? = true

        def nodes(sheet, box) = on(sheet, box).nodes

        # The MapLegend::Composition on a sheet.
        def on(sheet, box = box(sheet.page)) =
          sheet.once(:legend, id) do
            MapLegend::Composition.new(
              self,
              rows: rows_on(sheet),
              box: box,
              sheet: sheet,
              faces: ->(key) { typeface(key) }
            )
          end

        # MapLegend::Placed list of all rows that it can have, whatever the sheet shows of them.
        def arranged_on(sheet) =
          sheet.once(:legend_rows, id) do
            MapLegend::Arrangement.new(
              rows: rows,
              known: of_layers(sheet.known_entries(frame)),
              headings: headings,
              by_hand: content == "hand"
            ).placed(entries(sheet))
          end

        def spoken(sheet)
          composed = on(sheet)
          sheet.book.language.word(:spoken_legend, names: composed.standing.map(&:placed).map(&:name).join(", "))
        end

        MOST_NAMED = 5

        def left_out(sheet)
          return [] if hidden?
          composed = on(sheet)
          notices = [*broken_off(sheet), *composed.notices]
          return notices if composed.whole? || continued?(sheet)
          lost = composed.left.map { |placed| "“#{placed.name}”" }
          [
            *notices,
            "The legend #{named}fits #{composed.fitting} of #{composed.count} rows; left out: " \
              "#{Sentences.listed(lost, MOST_NAMED)}. Make it larger, let it shrink or take more columns, or let a " \
              "second legend continue it."
          ]
        end

        def templates
          own = legend_title ? [["#{path}/legend_title", legend_title]] : []
          own + rows.flat_map(&:templates)
        end

        def check_drawings
          rows.each(&:check_drawings)
          return unless sample_drawing
          (assets || Symbology::Assets.shipped).markers.drawing(sample_drawing, path: "#{path}/sample_drawing")
        end

        # What lies behind its rows.
        public :backing

        private

        # One legend of a page needs no name.
        def named = own_title ? "“#{own_title}” " : ""

        # Those that the one before it has no room for, or its own.
        def rows_on(sheet)
          before = before(sheet)
          before ? before.on(sheet).left : MapLegend::Arrangement.shown(arranged_on(sheet), sheet)
        end

        # The topmost first.
        def entries(sheet)
          case content
          when "book"
            of_layers(sheet.book_entries)
          when "hand"
            of_layers(sheet.known_entries(frame))
          else
            of_layers(sheet.legend_entries(frame).reverse)
          end
        end

        def of_layers(entries) = layers ? entries.select { |entry| layers.include?(entry.layer.id) } : entries
      end
    end
  end
end
