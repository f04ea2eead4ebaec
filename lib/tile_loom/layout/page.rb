# frozen_string_literal: true

module TileLoom
  module Layout
    # The paper: size, orientation, margins, and more room on the edge that will be bound. All in mm.
    class Page
      EDGES = %w[top right bottom left].freeze

      attr_reader :width_mm, :height_mm, :margins_mm, :binding_edge, :gutter_mm, :bleed_mm

      # settings: "layout/page" of the book document.
      def initialize(settings)
        @width_mm, @height_mm = oriented(settings)
        @margins_mm = EDGES.to_h { |edge| [edge, settings.dig("margins_mm", edge).to_f] }
        @binding_edge = settings.dig("binding", "edge")
        @gutter_mm = settings.dig("binding", "gutter_mm").to_f
        @bleed_mm = settings.fetch("bleed_mm", 0).to_f
        @settings = settings
      end

      # The paper in words: "A3 landscape", "300 × 200 mm".
      def name
        unless @settings["size"] == PageSize::CUSTOM
          return [@settings["size"], (width_mm > height_mm) ? "landscape" : "portrait"].join(" ")
        end
        "#{Units::Number.plain(width_mm, decimals: 1)} × #{Units::Number.plain(height_mm, decimals: 1)} mm"
      end

      # Printed on both sides, even pages have left and right the other way round.
      def mirrored? = @settings.dig("binding", "mirrored") == true && %w[left right].include?(binding_edge)

      def trim_marks? = @settings.fetch("trim_marks", false)

      # The page as it is at a number in the book, counted from 1 at the first page.
      def for_page(number) = (mirrored? && number.even?) ? (@even ||= turned_over) : self

      # The part of the page inside margins and gutter, in page mm.
      def live_area
        top, right, bottom, left = EDGES.map { |edge| margins_mm[edge] + ((binding_edge == edge) ? gutter_mm : 0.0) }
        area = Geometry::Box.new(left, top, width_mm - right, height_mm - bottom)
        return area if area.width >= 10 && area.height >= 10
        raise Invalid.new(
          "The margins leave #{Units::Number.plain(area.width, decimals: 1)} × " \
          "#{Units::Number.plain(area.height, decimals: 1)} mm of a page of " \
          "#{Units::Number.plain(width_mm, decimals: 1)} × #{Units::Number.plain(height_mm, decimals: 1)} mm; make " \
          "them smaller.",
          path: "/layout/page/margins_mm"
        )
      end

      OTHER = {"left" => "right", "right" => "left"}.freeze

      private

      def turned_over
        margins =
          @settings["margins_mm"].merge(
            "left" => @settings["margins_mm"]["right"],
            "right" => @settings["margins_mm"]["left"]
          )
        self.class.new(
          @settings.merge(
            "margins_mm" => margins,
            "binding" => @settings["binding"].merge("edge" => OTHER.fetch(binding_edge), "mirrored" => false)
          )
        )
      end

      def oriented(settings)
        size =
          if settings["size"] == PageSize::CUSTOM
            [settings["width_mm"].to_f, settings["height_mm"].to_f]
          else
            PageSize::ALL.fetch(settings["size"]) do
              raise Invalid.new(
                "“#{settings["size"]}” is not a page size; use one of #{PageSize.names.join(", ")}.",
                path: "/layout/page/size"
              )
            end
          end
        return size if settings["size"] == PageSize::CUSTOM && settings["orientation"].nil?
        (settings["orientation"] == "landscape") ? size.minmax.reverse : size.minmax
      end
    end
  end
end
