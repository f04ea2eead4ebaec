# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # The labels of one grid round one frame: at which crossings they stand, what each says, how it is turned.
    # They share a Placement with whatever else stands there.
    class Labels
      # Lines that meet a side at less than about 20° are not labelled there.
      LEAST_STEEPNESS = 0.34
      # One label: its Caption and the Spot where it stands; side: of the frame.
      Label = Struct.new(:caption, :spot, :side, keyword_init: true)

      # How many labels found no room on the paper.
      attr_reader :off_paper

      # meshes: of the grid in this frame; settings: its "labels"; placement: shared; offsets: side → mm from the
      # frame to where labels outside may begin (a border lies between); face: a Type::Face.
      def initialize(meshes:, settings:, placement:, face:, offsets: {})
        @meshes, @settings, @placement, @face, @offsets = meshes, settings, placement, face, offsets
        @off_paper = 0
      end

      # Label list; takes their places.
      def placed = @placed ||= corners + sides.flat_map { |side| along(side) }

      def texts = placed.flat_map { |label| label.caption.texts(label.spot.x, label.spot.y, face: @face, size_pt: size_pt, turn_deg: label.spot.turn_deg, colour: @settings.fetch("colour", "#1f2a30"), halo: halo) }

      # Spots round which lines are left out, where a gap is wanted.
      def gaps = (inside? && @settings["gap_mm"]) ? placed.map { |label| label.spot.grow(@settings["gap_mm"].to_f) } : []

      # mm that the labels need outside a side, from the frame.
      def room(side)
        return 0.0 if inside?
        dx, dy = Side::OUTWARD.fetch(side)
        (x, y), = Side.ends(side, frame)
        placed.select { |label| label.side == side }.map { |label| (label.spot.x - x) * dx + (label.spot.y - y) * dy + label.spot.reach(dx, dy) }.max || 0.0
      end

      def sides = @settings.fetch("sides") & Side::ALL

      # Lines of the side whose labels had to be left out so that the rest can be read: every how many is kept.
      def every = @every ||= {}

      private

      def frame = @meshes.first.view.frame

      def inside? = @settings["place"] == "inside"

      def size_pt = @settings.fetch("size_pt", 6).to_f

      def distance = @settings.fetch("distance_mm", 1.2).to_f

      def halo = @settings["halo"] && Scene::Stroke.halo(@settings["halo"])

      def along(side)
        @meshes.flat_map do |mesh|
          axes = (@settings["families"] == "both") ? %i[x y] : [mesh.owner(side)]
          axes.flat_map { |axis| family(side, mesh, axis) }
        end
      end

      def family(side, mesh, axis)
        crossings = mesh.crossings[side].select { |crossing| crossing.line.axis == axis && crossing.steepness >= LEAST_STEEPNESS }.sort_by(&:along)
        return [] if crossings.empty?
        short = @settings["form"] == "short"
        ends = short ? [crossings.first, crossings.last].uniq : []
        # First and last say it in full; where there is no room for that on the paper, the next one does.
        found = ends.filter_map { |crossing| claim(side, mesh, crossing, full: true) }
        rest = regular(side, mesh, axis, crossings - ends, full: !short)
        found + rest.filter_map { |crossing| claim(side, mesh, crossing, full: !short) }
      end

      # Every line, or every 2nd, 5th … of a round number, so that no label would touch the next: what is left
      # out follows a rule that a reader can see.
      def regular(side, mesh, axis, crossings, full:)
        step = mesh.interval(axis)
        spots = {}.compare_by_identity
        crossings.each { |crossing| spots[crossing] = spot(side, mesh, crossing, full: full).grow(Placement::GAP_MM / 2) }
        multiple = Series.multiples(step, angle: mesh.crs.geographic?).find do |many|
          # A label that gave way to a corner is no measure for the others.
          kept = crossings.select { |crossing| (crossing.line.index % many).zero? && corner(side, crossing).nil? }
          kept.each_cons(2).none? { |one, other| spots[one].touches?(spots[other]) }
        end
        every[side] = multiple if multiple.to_i > 1
        return [] unless multiple
        crossings.select { |crossing| (crossing.line.index % multiple).zero? }.sort_by { |crossing| corner(side, crossing) ? 0 : 1 }
      end

      def claim(side, mesh, crossing, full:)
        spot = spot(side, mesh, crossing, full: full)
        unless @placement.on_paper?(spot)
          @off_paper += 1
          return nil
        end
        return nil unless @placement.claim(spot)
        Label.new(caption: caption(mesh, crossing, full), spot: spot, side: side)
      end

      def caption(mesh, crossing, full)
        @captions ||= {}.compare_by_identity
        (@captions[crossing] ||= {})[full] ||= Caption.of(crossing.line, mesh.crs, mesh.interval(crossing.line.axis), @settings, full: full)
      end

      # A line that comes out at a corner has its label beside the corner: the other side's is there too.
      AT_CORNER_MM = 0.5

      # 0 or 1: the end of the side where the line comes out, or nil.
      def corner(side, crossing)
        return nil if inside? || @settings["turn"] == "line"
        Side.ends(side, frame).index { |x, y| ((Side.level?(side) ? x : y) - crossing.along).abs < AT_CORNER_MM }
      end

      def spot(side, mesh, crossing, full:)
        @known ||= {}.compare_by_identity
        (@known[crossing] ||= {})[full] ||= found_spot(side, mesh, crossing, full)
      end

      def found_spot(side, mesh, crossing, full)
        corner = corner(side, crossing)
        return flush(side, [crossing.x, crossing.y], corner, caption(mesh, crossing, full)) if corner
        spot = over(crossing.x, crossing.y, caption(mesh, crossing, full), (@settings["turn"] == "line") ? along_line(crossing) : turn_at(side))
        dx, dy = away(side, crossing)
        far = inside? ? distance + spot.reach(dx, dy) : @offsets.fetch(side, 0.0) + distance + spot.reach(*Side::OUTWARD.fetch(side))
        spot.move(dx * far, dy * far)
      end

      # In which direction from the crossing the label lies.
      def away(side, crossing)
        return crossing.inward if inside?
        dx, dy = Side::OUTWARD.fetch(side)
        return [dx, dy] unless @settings["turn"] == "line"
        # On the line's own course beyond the frame, so far out as the label must be.
        across = (crossing.inward[0] * dx + crossing.inward[1] * dy).abs
        [-crossing.inward[0] / across, -crossing.inward[1] / across]
      end

      # The Spot of a caption over a place.
      def over(x, y, caption, turn) = Placement::Spot.new(x: x, y: y, width: caption.width_mm(@face, size_pt), height: @face.cap_height_mm(size_pt), turn_deg: turn)

      # "upright", or along the side, read from below or from the right.
      def turn_at(side) = (@settings["turn"] == "upright") ? 0.0 : {"left" => -90.0, "right" => 90.0}.fetch(side, 0.0)

      def along_line(crossing) = readable(Math.atan2(crossing.inward[1], crossing.inward[0]) * 180 / Math::PI)

      # Never upside down: a turn of -90° up to, but not with, 90°.
      def readable(degrees) = ((degrees + 90) % 180 - 90).then { |turn| ((turn.abs - 90).abs < 1e-6) ? -90.0 : turn }

      # The frame's own corners, each coordinate beside the end of its side.
      def corners
        return [] unless @settings["corners"] && !inside?
        mesh = @meshes.first
        sides.flat_map { |side| Side.ends(side, frame).each_with_index.filter_map { |place, index| frame_corner(side, mesh, place, index) } }
      end

      def frame_corner(side, mesh, place, index)
        x, y = mesh.on_grid(place)
        return nil unless x.finite? && y.finite?
        axis = mesh.owner(side)
        line = Line.new(axis: axis, value: ((axis == :x) ? x : y).rationalize(Rational(1, 10**9)), index: 0, pieces: [], course: [])
        caption = Caption.of(line, mesh.crs, mesh.crs.geographic? ? Rational(1, 3600) : 1r, @settings.except("form", "decimals"), full: true)
        spot = flush(side, place, index, caption)
        return nil unless @placement.claim(spot)
        Label.new(caption: caption, spot: spot, side: side)
      end

      # Beside the corner, ending with the side.
      def flush(side, (x, y), index, caption)
        spot = over(x, y, caption, turn_at(side))
        dx, dy = Side::OUTWARD.fetch(side)
        inward = index.zero? ? 1 : -1
        along = Side.level?(side) ? [1.0, 0.0] : [0.0, 1.0]
        far = @offsets.fetch(side, 0.0) + distance + spot.reach(dx, dy)
        shift = inward * spot.reach(*along)
        spot.move(dx * far + along[0] * shift, dy * far + along[1] * shift)
      end
    end
  end
end
