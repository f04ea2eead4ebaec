# frozen_string_literal: true

require "nokogiri"

module TileLoom
  module Artwork
    # Reads the shapes of an SVG and nothing else: scripts, links, pictures, text, styles sheets and
    # whatever could reach outside are left out and named. What it returns holds numbers and colours only.
    class SvgReader
      LARGEST_BYTES = 500_000
      MOST_NUMBERS = 60_000
      MOST_DEPTH = 30
      SHAPES = %w[path rect circle ellipse line polyline polygon].freeze
      # Parts that draw nothing and are no loss.
      SILENT = %w[title desc metadata defs].freeze
      NAMED = {
        "black" => "#000000",
        "white" => "#ffffff",
        "red" => "#ff0000",
        "green" => "#008000",
        "blue" => "#0000ff",
        "yellow" => "#ffff00",
        "gray" => "#808080",
        "grey" => "#808080",
        "orange" => "#ffa500",
        "brown" => "#a52a2a",
        "purple" => "#800080"
      }.freeze
      STEPS = 32

      Paint = Struct.new(:fill, :stroke, :width, :opacity)

      # The Drawing of an SVG text; name: for what is said when it does not read.
      def self.read(text, name: "The drawing") = new(text, name).drawing

      def initialize(text, name)
        @text, @name = text.to_s.b, name
        @shapes = []
        @left_out = []
        @numbers = 0
      end

      def drawing
        refuse("artwork.drawing_too_large", most_kb: LARGEST_BYTES / 1000) if @text.bytesize > LARGEST_BYTES
        refuse("artwork.entities") if @text.match?(/<!ENTITY/i)
        walk(root, Geometry::Affine::IDENTITY, Paint.new("#000000", nil, 1.0, 1.0), 0)
        if @shapes.empty?
          left_out = @left_out.any? ? "; #{@left_out.uniq.join(", ")} were left out" : ""
          refuse("artwork.no_shapes", left_out: left_out)
        end
        Drawing.new(fitted, left_out: @left_out.uniq)
      end

      private

      def refuse(code, **values) = raise(Refusal.new(code, name: @name, **values))

      # Nokogiri neither loads what a document points to nor puts entities in.
      def root = @root ||= parsed

      def parsed
        document = Nokogiri.XML(@text) { |options| options.strict.nonet }
        refuse("artwork.no_svg") unless document.root&.name == "svg"
        document.root
      rescue Nokogiri::XML::SyntaxError => error
        refuse("artwork.not_well_formed", trouble: error.message.to_s.lines.first.to_s.strip[0, 80])
      end

      def walk(node, matrix, paint, depth)
        refuse("artwork.nested_too_deep", most: MOST_DEPTH) if depth > MOST_DEPTH
        return if style(node, "display") == "none"
        matrix *= Transform.of(node["transform"])
        paint = inherit(node, paint)
        case node.name
        when "svg", "g"
          node.element_children.each { |child| walk(child, matrix, paint, depth + 1) }
        when *SHAPES
          keep(node, matrix, paint)
        when "a"
          @left_out << "links"
          node.element_children.each { |child| walk(child, matrix, paint, depth + 1) }
        else
          @left_out << "<#{node.name[0, 30]}>" unless SILENT.include?(node.name)
        end
      end

      def style(node, name) =
        node["style"].to_s[/(?:\A|;)\s*#{Regexp.escape(name)}\s*:\s*([^;]+)/, 1]&.strip || node[name]

      def inherit(node, paint)
        opacity = Float(style(node, "opacity").to_s, exception: false)
        Paint.new(
          colour(style(node, "fill"), paint.fill),
          colour(style(node, "stroke"), paint.stroke),
          length(style(node, "stroke-width")) || paint.width,
          paint.opacity * (opacity || 1).clamp(0, 1)
        )
      end

      def colour(text, inherited)
        case text.to_s.strip.downcase
        when "", "inherit"
          inherited
        when "none", "transparent"
          nil
        when "currentcolor"
          :own
        when /\A#[0-9a-f]{6}\z/
          text.strip.downcase
        when /\A#([0-9a-f])([0-9a-f])([0-9a-f])\z/
          "##{$1 * 2}#{$2 * 2}#{$3 * 2}"
        when /\Argb\(\s*(\d+)\s*,\s*(\d+)\s*,\s*(\d+)\s*\)\z/
          format("#%02x%02x%02x", *[$1, $2, $3].map { |part| part.to_i.clamp(0, 255) })
        else
          NAMED[text.strip.downcase] || :own
        end
      end

      def length(text) = text && text[PathData::NUMBER]&.to_f

      def number(node, name) = length(node[name]) || 0.0

      def keep(node, matrix, paint)
        runs, closed = outline(node)
        @numbers += runs.sum(&:length)
        refuse("artwork.too_many_points", most: MOST_NUMBERS / 2) if @numbers > MOST_NUMBERS
        return if runs.empty? || (paint.fill.nil? && paint.stroke.nil?)
        runs = runs.map { |run| matrix.map(run) }
        refuse("artwork.place_no_number") unless runs.all? { |run| run.all?(&:finite?) }
        @shapes << Drawing::Shape.new(
          runs: runs,
          closed: closed,
          fill: paint.fill,
          stroke: paint.stroke,
          width: paint.width * matrix.growth,
          opacity: paint.opacity
        )
      end

      # [runs, whether they are rings]. An open path with a fill is filled as if it were closed.
      def outline(node)
        case node.name
        when "path"
          PathData.runs(node["d"]).then { |runs| [runs.map(&:coordinates), runs.any?(&:closed)] }
        when "rect"
          [[rectangle(node)], true]
        when "circle"
          [[ellipse(number(node, "cx"), number(node, "cy"), number(node, "r"), number(node, "r"))], true]
        when "ellipse"
          [[ellipse(number(node, "cx"), number(node, "cy"), number(node, "rx"), number(node, "ry"))], true]
        when "line"
          [[%w[x1 y1 x2 y2].map { |name| number(node, name) }], false]
        else
          points(node)
        end
      end

      def points(node)
        numbers = node["points"].to_s.scan(PathData::NUMBER).map(&:to_f)
        numbers.pop if numbers.length.odd?
        [(numbers.length < 4) ? [] : [numbers], node.name == "polygon"]
      end

      def rectangle(node)
        x, y, width, height = %w[x y width height].map { |name| number(node, name) }
        [x, y, x + width, y, x + width, y + height, x, y + height]
      end

      def ellipse(x, y, rx, ry) =
        (0...STEPS).flat_map do |i|
          [x + rx * Math.cos(2 * Math::PI * i / STEPS), y + ry * Math.sin(2 * Math::PI * i / STEPS)]
        end

      # Into the unit square: by the viewBox where there is one, else by the shapes themselves.
      def fitted
        left, top, width, height = root["viewBox"].to_s.scan(PathData::NUMBER).map(&:to_f)
        unless height&.positive? && width&.positive?
          xs, ys = @shapes.flat_map(&:runs).flatten.each_slice(2).to_a.transpose
          left, top, width, height = xs.min, ys.min, xs.max - xs.min, ys.max - ys.min
        end
        side = [width, height].max
        refuse("artwork.no_size") unless side.positive? && side.finite?
        place = Geometry::Affine.new(1 / side, 0, 0, 1 / side, -(left + width / 2) / side, -(top + height / 2) / side)
        @shapes.each do |shape|
          shape.runs = shape.runs.map { |run| place.map(run) }
          shape.width /= side
        end
      end
    end
  end
end
