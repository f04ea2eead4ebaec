# frozen_string_literal: true

module TileLoom
  module Frames
    # Which ground a frame shows. A kind of extent is a file in extents/: it declares its parts and answers
    # `focus(sheet, crs)` with flat places, in the frame's reference, that are to be seen, or nil where a sheet has
    # nothing of the kind. How large they come out is told by `size`.
    class Extent < Values::Value
      extend Values::Kind

      def self.read(given, path: "", assets: nil) = Extents.of(given["kind"]).new(given, path: path, assets: assets)

      def self.union = @union ||= Values::OneOfKinds.new("extent", Extent, required: ["kind"]) { Extents }

      define
      part :kind, Values::Plain.new({"type" => "string"}), required: true
      part :size,
        choice(fitted: "to fit", round: "next round scale", standard: "next standard scale", held: "fixed"),
        default: "fitted",
        about:
          "Its scale: as large as fits; at the next scale of two figures; at the next standard scale; or as it is given."
      part :scale, Values::Types::SCALE, about: "The denominator that is held."
      part :margin_percent, number(0..200), default: 0, about: "Round what is to be seen, of its larger side."
      part :rotation_deg, number(-360..360), default: 0, about: "Of the frame over the ground, clockwise, as of a cell."
      part :turned_with_sheet, flag, default: false, about: "Rotated as the sheet's own ground is, and by that more."

      # The Geometry::TurnedRectangle that fills a box in page mm, in units of the reference; nil where there is nothing
      # to be shown.
      def ground(sheet, box, crs)
        places = focus(sheet, crs)
        return nil if places.nil? || places.empty?
        turn = rotation(sheet)
        centre, width, height = bounds(places, turn)
        room = [width, height].max * margin_percent / 100.0
        per_mm = per_mm([(width + 2 * room) / box.width, (height + 2 * room) / box.height].max, crs)
        return nil unless per_mm&.positive?
        Geometry::TurnedRectangle.new(*centre, box.width * per_mm, box.height * per_mm, turn)
      end

      # What it shows, in words, on a sheet.
      def words(_sheet) = self.class.title

      # Is it the same on all sheets?
      def alike? = !turned_with_sheet?

      private

      def rotation(sheet) = rotation_deg + ((turned_with_sheet? && sheet.cell) ? sheet.cell.ground.rotation_deg : 0.0)

      # [middle, width, height] of places along axes that are turned.
      def bounds(places, turn)
        return upright(Geometry::Box.around(places)) if (turn % 360).zero?
        axes = Geometry::TurnedRectangle.new(0.0, 0.0, 1.0, 1.0, turn).axes
        (low_u, high_u), (low_v, high_v) =
          axes.map { |x, y| places.each_slice(2).map { |px, py| px * x + py * y }.minmax }
        u, v = (low_u + high_u) / 2, (low_v + high_v) / 2
        (a, b), (c, d) = axes
        [[u * a + v * c, u * b + v * d], high_u - low_u, high_v - low_v]
      end

      def upright(box) = [box.centre, box.width, box.height]

      # Units of the reference in a millimetre, from the least that shows all.
      def per_mm(least, crs)
        unit = 1000.0 * crs.metres_per_unit
        case size
        when "held"
          scale ? scale / unit : least
        when "round"
          rounded(least * unit) / unit
        when "standard"
          (Index::StandardScales::ALL.find { |known| known >= least * unit - 1e-6 } || least * unit) / unit
        else
          least
        end
      end

      # Up to the next scale of two figures (1:38,412 becomes 1:39,000).
      def rounded(least)
        return least unless least.positive?
        step = 10.0**(Math.log10(least).floor - 1)
        (least / step - 1e-9).ceil * step
      end

      # Corners of a rectangle of the book's reference in the frame's.
      def brought(corners, sheet, crs)
        Crs::Transform
          .between(sheet.book.crs, crs)
          .forward(corners)
          .then { |places| places.all?(&:finite?) ? places : nil }
      end

      def settle
        return unless size == "held" && scale.nil?
        raise Refusal.new("frame.no_scale", at: "#{path}/scale")
      end
    end
  end
end
