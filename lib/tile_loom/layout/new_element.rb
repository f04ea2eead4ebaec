# frozen_string_literal: true

module TileLoom
  module Layout
    # A new element of a kind, with settings that are a sound start.
    module NewElement
      START = {
        "map_frame" => {
          "border" => {
            "width_mm" => 0.4
          },
          "grids" => []
        },
        "text" => {
          "text" => "Text",
          "size_pt" => 10
        },
        "scale_bar" => {},
        "north_arrow" => {},
        "legend" => {
          "size_pt" => 8,
          "pitch_mm" => 5.4
        },
        "neatline" => {
          "stroke" => {
            "width_mm" => 0.5
          }
        },
        "line" => {
          "stroke" => {
            "colour" => "#1f2a30",
            "width_mm" => 0.3
          }
        },
        "box" => {
          "stroke" => {
            "colour" => "#1f2a30",
            "width_mm" => 0.3
          }
        },
        "ellipse" => {
          "stroke" => {
            "colour" => "#1f2a30",
            "width_mm" => 0.3
          }
        },
        "picture" => {
          "drawing" => "flag",
          "colour" => "#1f2a30"
        },
        "grid_note" => {
          "size_pt" => 7
        },
        "north_diagram" => {},
        "key_frame" => {
          "border" => {
            "width_mm" => 0.35
          }
        },
        "adjoining" => {
          "size_pt" => 7
        },
        "locator" => {
          "border" => {
            "colour" => "#545c60",
            "width_mm" => 0.2
          }
        }
      }.freeze
      TITLES = {
        "map_frame" => "Map frame",
        "text" => "Text",
        "scale_bar" => "Scale bar",
        "north_arrow" => "North arrow",
        "legend" => "Legend",
        "neatline" => "Neatline",
        "line" => "Line",
        "box" => "Box",
        "ellipse" => "Ellipse",
        "picture" => "Picture",
        "key_frame" => "Key frame",
        "locator" => "Locator",
        "adjoining" => "Adjoining sheets",
        "grid_note" => "Note on a grid",
        "north_diagram" => "Diagram of norths"
      }.freeze
      # One of each of these is all that a page can hold: it decides what the page shows.
      SINGLE = {
        "map_frame" => "A layout has one map frame so far, which decides the cells.",
        "key_frame" => "A key sheet has one key frame, which decides its scale."
      }.freeze
      # What a layout cannot hold, by its role.
      ELSEWHERE = {
        "sheets" => {
          "key_frame" => "A key frame belongs on the key sheet; a locator shows the index on every sheet."
        },
        "key" => {
          "map_frame" => "A map frame shows one cell; the key sheet has a key frame."
        }
      }.freeze

      module_function

      # kind: a key of Element::KINDS; box: Geometry::Box in page mm; settings: over those of the start (of a
      # copy, say); taken: ids that are in use; role: of the layout, "sheets" or "key". Returns settings for the book
      # document.
      def make(kind, box, page:, taken:, settings: {}, role: "sheets")
        unless TileLoom::Furniture::Element::KINDS.key?(kind)
          raise Invalid.new(
            "“#{kind}” is no kind of element; use one of #{TileLoom::Furniture::Element::KINDS.keys.join(", ")}.",
            path: "/kind"
          )
        end
        raise Invalid.new(ELSEWHERE[role][kind], path: "/kind") if ELSEWHERE[role].key?(kind)
        raise Invalid.new(SINGLE[kind], path: "/kind") if SINGLE.key?(kind)
        START
          .fetch(kind)
          .merge(settings.except("id", "kind", "place"))
          .merge(
            "kind" => kind,
            "id" => id(kind, taken),
            "place" => TileLoom::Furniture::Place.nearest(page.live_area, box)
          )
      end

      def id(kind, taken)
        base = kind.tr("_", "-")
        (1..).lazy.map { |number| "#{base}-#{number}" }.find { |id| !taken.include?(id) }
      end
    end
  end
end
