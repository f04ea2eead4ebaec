# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # What a label says, in parts that may be smaller and raised, as leading digits are on topographic sheets.
    class Caption
      THIN_SPACE = "\u2009"
      # Small digits: their size against the others', and how far they are raised, as shares of the size.
      SMALL, RAISED = 0.66, 0.3

      # small: is it one of the small, raised parts?
      Part = Struct.new(:string, :small)

      attr_reader :parts

      # parts: [string, small?] pairs.
      def initialize(*parts) =
        @parts = parts.reject { |string, _| string.empty? }.map { |string, small| Part.new(string, small == true) }

      # For the label of a line. spec: a LabelSpec; language: a Languages::Language; full: is it to stand for itself?
      # tolerance: by how much, in units of crs, the number may be off its line, or nil.
      def self.of(line, crs, step, spec, language:, full: true, tolerance: nil)
        manner = (crs.geographic? ? Captions::Angle : Captions::Length).new(spec, language, tolerance)
        manner.of(line.axis, line.value, step, crs, full: full)
      end

      def to_s = parts.map(&:string).join

      def width_mm(face, size_pt) = parts.sum { |part| face.width_mm(part.string, size(part, size_pt)) }

      # Scene texts with the middle of the label (half its width, half the height of capitals) at (x, y), turned
      # clockwise about it; style: colour and halo.
      def texts(x, y, face:, size_pt:, rotation_deg: 0.0, **style)
        left, base = -width_mm(face, size_pt) / 2, face.cap_height_mm(size_pt) / 2
        turn = Geometry::Affine.turn(rotation_deg, 0.0, 0.0)
        parts.map do |part|
          dx, dy = turn.point(left, part.small ? base - RAISED * size_pt * Type::Face::MM_PER_PT : base)
          left += face.width_mm(part.string, size(part, size_pt))
          Scene::Text.new(
            x: x + dx,
            y: y + dy,
            string: part.string,
            face: face,
            size_pt: size(part, size_pt),
            rotation_deg: rotation_deg,
            **style
          )
        end
      end

      private

      def size(part, size_pt) = part.small ? size_pt * SMALL : size_pt
    end
  end
end
