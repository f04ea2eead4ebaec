# frozen_string_literal: true

module TileLoom
  module Layout
    # The paper: size, orientation, margins, and more room on the edge that will be bound. All in mm.
    class Page < Values::Value
      EDGES = %w[top right bottom left].freeze

      define nil,
        if: {
          "properties" => {
            "size" => {
              "const" => PageSize::CUSTOM
            }
          }
        },
        then: {
          "required" => %w[width_mm height_mm]
        }
      part :size, choice(*PageSize.names), required: true
      part :own_width_mm, number(50..5000), key: "width_mm"
      part :own_height_mm, number(50..5000), key: "height_mm"
      part :orientation, choice("portrait", "landscape")
      part :margins_mm, Margins.type, required: true
      part :binding, BindingEdge.type
      part :bleed_mm, number(0..50), default: 0, about: "How far the drawing goes beyond the trimmed page."
      part :trim_marks, flag, default: false

      def width_mm = oriented[0]

      def height_mm = oriented[1]

      def binding_edge = binding&.edge

      def gutter_mm = binding ? binding.gutter_mm : 0.0

      # The paper in words: "A3 landscape", "300 × 200 mm".
      def name
        return [size, (width_mm > height_mm) ? "landscape" : "portrait"].join(" ") unless size == PageSize::CUSTOM
        "#{Units::Number.plain(width_mm, decimals: 1)} × #{Units::Number.plain(height_mm, decimals: 1)} mm"
      end

      # Printed on both sides, even pages have left and right the other way round.
      def mirrored? = binding&.mirrored? && %w[left right].include?(binding_edge)

      # The page as it is at a number in the book, counted from 1 at the first page.
      def for_page(number) = (mirrored? && number.even?) ? turned_over : self

      # The part of the page inside margins and gutter, in page mm.
      def live_area
        top, right, bottom, left =
          EDGES.map { |edge| margins_mm.public_send(edge) + ((binding_edge == edge) ? gutter_mm : 0.0) }
        area = Geometry::Box.new(left, top, width_mm - right, height_mm - bottom)
        return area if area.width >= 10 && area.height >= 10
        raise Refusal.new(
          "layout.margins_too_large",
          width: Units::Number.plain(area.width, decimals: 1),
          height: Units::Number.plain(area.height, decimals: 1),
          width_mm: Units::Number.plain(width_mm, decimals: 1),
          height_mm: Units::Number.plain(height_mm, decimals: 1),
          at: "#{path}/margins_mm"
        )
      end

      OTHER = {"left" => "right", "right" => "left"}.freeze

      private

      def turned_over =
        with(
          margins_mm: margins_mm.with(left: margins_mm.right, right: margins_mm.left),
          binding: binding.with(edge: OTHER.fetch(binding_edge), mirrored: false)
        )

      # Standard sizes alone, and own ones.
      def settle
        return if size == PageSize::CUSTOM || PageSize::ALL.key?(size)
        names = PageSize.names.join(", ")
        raise Refusal.new("layout.page_size", size: size, known: names, at: "#{path}/size")
      end

      def oriented
        return own_width_mm, own_height_mm if size == PageSize::CUSTOM && orientation.nil?
        sides = (size == PageSize::CUSTOM) ? [own_width_mm, own_height_mm] : PageSize::ALL.fetch(size)
        (orientation == "landscape") ? sides.minmax.reverse : sides.minmax
      end
    end
  end
end
