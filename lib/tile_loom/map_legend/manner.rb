# frozen_string_literal: true

module TileLoom
  module MapLegend
    # How a legend's rows are set at one size: its typefaces, samples and gaps, all of them that many times as large
    # (factor); symbols alone keep their size, as the map has them.
    class Manner
      # Room above and below a symbol that is taller than its row, in mm.
      SPARE_MM = 0.6

      attr_reader :factor, :sheet

      # design: the legend element; faces: gives the Type::Face of a key; symbols: those beside the rows, with their
      # shapes, for whose width there is room before the texts.
      def initialize(design, factor:, sheet:, faces:, symbols: [])
        @design, @factor, @sheet, @faces, @symbols = design, factor, sheet, faces, symbols
      end

      def entry = @entry ||= setting(@design.face, @design.size_pt, anchor: "middle")

      def heading = @heading ||= setting(@design.heading_face, @design.heading_pt || @design.size_pt)

      def note = @note ||= setting(@design.note_face, @design.note_pt || @design.size_pt)

      def title = @title ||= setting(@design.title_face, @design.title_pt || @design.size_pt * 1.25)

      def colour = @design.colour

      # The Languages::Language of the book.
      def language = sheet.book.language

      def pitch_mm = @design.pitch_mm * factor

      def sample_width_mm = @design.sample_width_mm * factor

      def sample_height_mm = @design.sample_height_mm * factor

      def label_gap_mm = @design.label_gap_mm * factor

      def heading_gap_mm = @design.heading_gap_mm * factor

      # Where the texts begin, from a column's left.
      def text_start_mm =
        @text_start_mm ||= [sample_width_mm, *@symbols.map { |symbol| width_of(symbol) }].max + label_gap_mm

      # A row: a symbol in its room, or none, and a text beside it. symbol_mm: its height. The block draws the symbol
      # within a Geometry::Box.
      def row(text, width, symbol_mm: 0.0, &symbol)
        set = entry.block(text)
        lines = set.lines([width - text_start_mm, 0.1].max)
        height = [pitch_mm, lines.length * entry.pitch_mm, symbol_mm + SPARE_MM].max
        Block.new(
          height_mm: height,
          natural_mm: text_start_mm + widest(lines),
          drawn: ->(x, y) do
            box = Geometry::Box.at(x + (text_start_mm - label_gap_mm - sample_width_mm) / 2, y, sample_width_mm, height)
            [*symbol&.call(box), *set.set(Geometry::Box.new(x + text_start_mm, y, x + width, y + height))]
          end
        )
      end

      # A text over the whole width.
      def paragraph(text, width, setting, before_mm: 0.0, keeps: false)
        set = setting.block(text)
        lines = set.lines(width)
        height = lines.length * setting.pitch_mm
        Block.new(
          height_mm: height,
          natural_mm: widest(lines),
          before_mm: before_mm,
          keeps: keeps,
          drawn: ->(x, y) { set.set(Geometry::Box.at(x, y, width, height)) }
        )
      end

      def widest(lines) = lines.map(&:width_mm).max.to_f

      # Nodes of a symbol for a shape in a room, with a Sample of its own or the legend's.
      def symbol(symbol, shape, room, sample: nil)
        return symbol.nodes(points: room.centre) if shape == :point
        kind = Samples.of(sample || ((shape == :area) ? @design.area_sample : @design.line_sample))
        kind = Samples.of((shape == :area) ? "rectangle" : "straight") unless kind.shape == shape
        _, y = room.centre
        half = sample_height_mm / 2
        runs = kind.new(own_sample).runs(Geometry::Box.new(room.min_x, y - half, room.max_x, y + half))
        (shape == :area) ? symbol.nodes(rings: runs) : symbol.nodes(lines: runs)
      end

      # How tall and how wide a symbol is in mm.
      def height_of(symbol, shape)
        return symbol.marker&.size_mm.to_f if shape == :point
        wide = symbol.strokes.map(&:width_mm).max.to_f
        (shape == :area || @design.line_sample != "straight") ? sample_height_mm + wide : wide
      end

      def width_of((symbol, shape)) = (shape == :point) ? symbol.marker&.size_mm.to_f : sample_width_mm

      # Room of a face's text.
      def setting(face, size_pt, anchor: "top") =
        Type::Setting.new(face: @faces.call(face), size_pt: size_pt * factor, colour: colour, anchor: anchor)

      private

      # The Artwork::Drawing of samples of the book's own, or nil.
      def own_sample =
        @design.sample_drawing &&
          sheet.book.markers.drawing(@design.sample_drawing, path: "#{@design.path}/sample_drawing")
    end
  end
end
