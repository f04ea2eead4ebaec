# frozen_string_literal: true

module TileLoom
  module Layout
    # The paper: size, orientation, margins, and more room on the edge that will be bound. All in mm.
    class Page
      EDGES = %w[top right bottom left].freeze

      attr_reader :width_mm, :height_mm, :margins_mm, :binding_edge, :gutter_mm

      # settings: "layout/page" of the book document.
      def initialize(settings)
        @width_mm, @height_mm = oriented(settings)
        @margins_mm = EDGES.to_h { |edge| [edge, settings.dig("margins_mm", edge).to_f] }
        @binding_edge = settings.dig("binding", "edge")
        @gutter_mm = settings.dig("binding", "gutter_mm").to_f
      end

      # The part of the page inside margins and gutter, in page mm.
      def live_area
        top, right, bottom, left = EDGES.map { |edge| margins_mm[edge] + ((binding_edge == edge) ? gutter_mm : 0.0) }
        area = Geometry::Box.new(left, top, width_mm - right, height_mm - bottom)
        return area if area.width >= 10 && area.height >= 10
        raise Invalid.new("The margins leave #{Units::Number.plain(area.width, decimals: 1)} × #{Units::Number.plain(area.height, decimals: 1)} mm of a page of #{Units::Number.plain(width_mm, decimals: 1)} × #{Units::Number.plain(height_mm, decimals: 1)} mm; make them smaller.", path: "/layout/page/margins_mm")
      end

      private

      def oriented(settings)
        size = if settings["size"] == PageSize::CUSTOM
          [settings["width_mm"].to_f, settings["height_mm"].to_f]
        else
          PageSize::ALL.fetch(settings["size"]) do
            raise Invalid.new("“#{settings["size"]}” is not a page size; use one of #{PageSize.names.join(", ")}.", path: "/layout/page/size")
          end
        end
        return size if settings["size"] == PageSize::CUSTOM && settings["orientation"].nil?
        (settings["orientation"] == "landscape") ? size.minmax.reverse : size.minmax
      end
    end
  end
end
