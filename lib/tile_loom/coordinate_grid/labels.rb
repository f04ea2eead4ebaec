# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # The labels of one grid round one frame: at which crossings they stand, what each says, how it is turned.
    # They share a Placement with whatever else stands there.
    class Labels
      # Lines that meet a side at less than about 20° are not labelled there.
      LEAST_STEEPNESS = 0.34
      # One label: its Caption and the Spot where it stands; side: of the frame, nil on the map; line: what it says.
      Label = Struct.new(:caption, :spot, :side, :line, keyword_init: true)

      # How many labels found no room on the paper where they belong.
      def off_paper = placed && @off_paper.length

      # A number may be off its line by so much on paper.
      TOLERANCE_MM = 0.05

      # meshes: of the grid in this frame; spec: its LabelSpec; placement: shared; offsets: side → mm from the
      # frame to where labels outside may begin (a border lies between); face: a Type::Face; language: a
      # Languages::Language; drawn: are there lines on
      # which a label can stand?
      def initialize(meshes:, spec:, placement:, face:, language:, offsets: {}, drawn: true)
        @language = language
        @meshes, @spec, @placement, @face, @offsets, @drawn = meshes, spec, placement, face, offsets, drawn
        @ruled_out = {}.compare_by_identity
        @off_paper = {}.compare_by_identity
      end

      # Label list; takes their places.
      def placed
        @placed ||= (corners + sides.flat_map { |side| along(side) }).then { |found| found + elsewhere(found) }
      end

      # Lines in the frame that have no label for want of room; those that a rule leaves out (see `every`) are not
      # among them.
      def unlabelled = without(placed).reject { |_, line| @ruled_out.key?(line) }.map(&:last)

      # Does a line cut off a corner of the frame alone, shorter there than its label would be?
      def stub?(line)
        mesh = @meshes.find { |known| known.lines.any? { |other| other.equal?(line) } }
        OnLine.new(line).length < of_line(mesh, line, true).width_mm(@face, size_pt) + 2 * distance
      end

      # How many lines the rule leaves out.
      def ruled_out = without(placed).count { |_, line| @ruled_out.key?(line) }

      # By how many mm labels with a fixed number of decimals are off their lines, at most, where that is too much; or
      # nil.
      def off_mm
        return nil unless @spec.decimals
        off = @meshes.flat_map { |mesh| mesh.lines.map { |line| off_line(mesh, line) } }.max
        off if off && off > TOLERANCE_MM
      end

      def texts =
        placed.flat_map do |label|
          label.caption.texts(
            label.spot.x,
            label.spot.y,
            face: @face,
            size_pt: size_pt,
            rotation_deg: label.spot.rotation_deg,
            colour: @spec.colour,
            halo: halo
          )
        end

      # Spots round which lines are left out, where a gap is wanted.
      def gaps
        return placed.map { |label| label.spot.grow(@spec.line_gap_mm) } if inside? && @spec.line_gap_mm
        placed.reject(&:side).map { |label| label.spot.grow(ON_LINE_GAP_MM) }
      end

      ON_LINE_GAP_MM = 0.4

      # mm that the labels need outside a side, from the frame.
      def room(side)
        return 0.0 if inside?
        dx, dy = Side::OUTWARD.fetch(side)
        (x, y), = Side.ends(side, frame)
        placed
          .select { |label| label.side == side }
          .map { |label| (label.spot.x - x) * dx + (label.spot.y - y) * dy + label.spot.reach(dx, dy) }
          .max || 0.0
      end

      def sides = @spec.sides & Side::ALL

      # Lines of the side whose labels had to be left out so that the rest can be read: every how many is kept.
      def every = @every ||= {}

      private

      def frame = @meshes.first.view.frame

      def inside? = @spec.inside?

      def size_pt = @spec.size_pt

      def distance = @spec.label_gap_mm

      def halo = @spec.halo&.under_text

      def along(side)
        @meshes.flat_map do |mesh|
          axes = @spec.both? ? %i[x y] : [mesh.owner(side)]
          axes.flat_map { |axis| family(side, mesh, axis) }
        end
      end

      def family(side, mesh, axis)
        crossings =
          mesh.crossings[side]
            .select { |crossing| crossing.line.axis == axis && crossing.steepness >= LEAST_STEEPNESS }
            .sort_by(&:along)
        return [] if crossings.empty?
        short = @spec.short?
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
        crossings.each do |crossing|
          spots[crossing] = spot(side, mesh, crossing, full: full).grow(LabelBox::GAP_MM / 2)
        end
        multiple =
          Units::Series
            .multiples(step, angle: mesh.crs.geographic?)
            .find do |many|
              # A label that gave way to a corner is no measure for the others.
              kept = crossings.select { |crossing| (crossing.line.index % many).zero? && corner(side, crossing).nil? }
              kept.each_cons(2).none? { |one, other| spots[one].touches?(spots[other]) }
            end
        every[side] = multiple if multiple.to_i > 1
        crossings.each do |crossing|
          @ruled_out[crossing.line] = true unless multiple && (crossing.line.index % multiple).zero?
        end
        return [] unless multiple
        crossings
          .select { |crossing| (crossing.line.index % multiple).zero? }
          .sort_by { |crossing| corner(side, crossing) ? 0 : 1 }
      end

      # Near a corner a label may give way along its side by so much.
      SLIDES_MM = [0.0, 0.5, -0.5, 1.0, -1.0].freeze

      def claim(side, mesh, crossing, full:)
        spot = spot(side, mesh, crossing, full: full)
        along = Side.level?(side) ? [1.0, 0.0] : [0.0, 1.0]
        here = @placement.on_paper?(spot)
        places = SLIDES_MM.lazy.map { |slide| slide.zero? ? spot : spot.move(along[0] * slide, along[1] * slide) }
        found =
          (places.find { |place| @placement.claim(place) } if here) ||
          beside_corner(side, mesh, crossing, spot.reach(*along), full)
        @off_paper[crossing] = true unless here || found
        found && Label.new(caption: caption(mesh, crossing, full), spot: found, side: side, line: crossing.line)
      end

      # So near to the side's end that the label goes beyond it, and another's label is there, it may end with the side;
      # it still stands over its line.
      def beside_corner(side, mesh, crossing, reach, full)
        index = Side.ends(side, frame).index { |x, y| ((Side.level?(side) ? x : y) - crossing.along).abs < reach }
        return nil if index.nil? || inside? || @spec.orientation == "along_line"
        spot = flush(side, Side.ends(side, frame)[index], index, caption(mesh, crossing, full))
        spot if @placement.on_paper?(spot) && @placement.claim(spot)
      end

      # [mesh, line] of the lines in the frame that none of the labels says.
      def without(labels)
        said = {}.compare_by_identity
        labels.each { |label| said[label.line] = true }
        @meshes.flat_map do |mesh|
          mesh
            .lines
            .select { |line| line.pieces.any? && !said.key?(line) && wanted?(mesh, line) }
            .map { |line| [mesh, line] }
        end
      end

      # Is the line of a family that the sides are to tell? Level and upright ones together are to tell both, although
      # near a pole all may belong to one.
      def wanted?(mesh, line)
        both = @spec.both? || sides.map { |side| Side.level?(side) }.uniq.length == 2
        both || sides.any? { |side| mesh.owner(side) == line.axis }
      end

      # Labels of lines that none of their own sides has room for: at the other family's side, or on the line.
      def elsewhere(found)
        return [] if sides.empty?
        without(found)
          .reject { |_, line| @ruled_out.key?(line) }
          .filter_map { |mesh, line| at_another_side(mesh, line) || (on_line(mesh, line) if @drawn) }
      end

      def at_another_side(mesh, line)
        sides
          .lazy
          .flat_map do |side|
            mesh.crossings[side]
              .select { |crossing| crossing.line.equal?(line) }
              .sort_by { |crossing| -crossing.steepness }
              .map { |crossing| [side, crossing] }
          end
          .filter_map do |side, crossing|
            if crossing.steepness >= LEAST_STEEPNESS || @spec.orientation != "along_line"
              claim(side, mesh, crossing, full: true)
            end
          end
          .first
      end

      def on_line(mesh, line)
        caption = of_line(mesh, line, true)
        OnLine
          .new(line)
          .places
          .filter_map do |x, y, turn|
            spot = over(x, y, caption, readable(turn))
            Label.new(caption: caption, spot: spot, line: line) if inside_frame?(spot) && @placement.claim(spot)
          end
          .first
      end

      def inside_frame?(spot) =
        [spot.box, frame].then do |box, room|
          box.min_x > room.min_x && box.max_x < room.max_x && box.min_y > room.min_y && box.max_y < room.max_y
        end

      def tolerance(mesh, axis) = (@tolerances ||= {})[[mesh, axis]] ||= mesh.least_units(axis, TOLERANCE_MM)

      # mm on paper.
      def off_line(mesh, line)
        part = mesh.crs.geographic? ? Captions::Angle.parts(@spec, mesh.interval(line.axis)) : 1
        unit = 10**@spec.decimals
        off = (line.value * part * unit - (line.value * part * unit).round).abs / (part * unit)
        (off / mesh.least_units(line.axis, 1.0)).to_f
      end

      def caption(mesh, crossing, full)
        @captions ||= {}.compare_by_identity
        (@captions[crossing] ||= {})[full] ||= of_line(mesh, crossing.line, full)
      end

      def of_line(mesh, line, full) =
        Caption.of(
          line,
          mesh.crs,
          mesh.interval(line.axis),
          @spec,
          language: @language,
          full: full,
          tolerance: tolerance(mesh, line.axis)
        )

      # A line that comes out at a corner claims its place before others: the other side's label is there, too.
      AT_CORNER_MM = 0.5

      # 0 or 1: the end of the side where the line comes out, or nil.
      def corner(side, crossing)
        return nil if inside? || @spec.orientation == "along_line"
        Side.ends(side, frame).index { |x, y| ((Side.level?(side) ? x : y) - crossing.along).abs < AT_CORNER_MM }
      end

      def spot(side, mesh, crossing, full:)
        @known ||= {}.compare_by_identity
        (@known[crossing] ||= {})[full] ||= found_spot(side, mesh, crossing, full)
      end

      def found_spot(side, mesh, crossing, full)
        spot =
          over(
            crossing.x,
            crossing.y,
            caption(mesh, crossing, full),
            (@spec.orientation == "along_line") ? along_line(crossing) : turn_at(side)
          )
        dx, dy = away(side, crossing)
        far =
          if inside?
            distance + spot.reach(dx, dy)
          else
            @offsets.fetch(side, 0.0) + distance + spot.reach(*Side::OUTWARD.fetch(side))
          end
        spot.move(dx * far, dy * far)
      end

      # In which direction from the crossing the label lies.
      def away(side, crossing)
        return crossing.inward if inside?
        dx, dy = Side::OUTWARD.fetch(side)
        return dx, dy unless @spec.orientation == "along_line"
        # On the line's own course beyond the frame, so far out as the label must be.
        across = (crossing.inward[0] * dx + crossing.inward[1] * dy).abs
        [-crossing.inward[0] / across, -crossing.inward[1] / across]
      end

      # The Spot of a caption over a place.
      def over(x, y, caption, turn) =
        LabelBox::Spot.new(
          x: x,
          y: y,
          width: caption.width_mm(@face, size_pt),
          height: @face.cap_height_mm(size_pt),
          rotation_deg: turn
        )

      # "upright", or along the side, read from below or from the right.
      def turn_at(side) = (@spec.orientation == "level") ? 0.0 : {"left" => -90.0, "right" => 90.0}.fetch(side, 0.0)

      def along_line(crossing) = readable(Math.atan2(crossing.inward[1], crossing.inward[0]) * 180 / Math::PI)

      # Never upside down: a turn of -90° up to, but not with, 90°.
      def readable(degrees) = ((degrees + 90) % 180 - 90).then { |turn| ((turn.abs - 90).abs < 1e-6) ? -90.0 : turn }

      # The frame's own corners, each coordinate beside the end of its side.
      def corners
        return [] unless @spec.corners? && !inside?
        mesh = @meshes.first
        sides.flat_map do |side|
          Side.ends(side, frame).each_with_index.filter_map { |place, index| frame_corner(side, mesh, place, index) }
        end
      end

      def frame_corner(side, mesh, place, index)
        x, y = mesh.on_grid(place)
        return nil unless x.finite? && y.finite?
        axis = mesh.owner(side)
        line =
          GridLine.new(
            axis: axis,
            value: ((axis == :x) ? x : y).rationalize(Rational(1, 10**9)),
            index: 0,
            pieces: [],
            course: []
          )
        caption =
          Caption.of(
            line,
            mesh.crs,
            mesh.crs.geographic? ? Rational(1, 3600) : 1r,
            @spec.in_full,
            language: @language,
            full: true,
            tolerance: tolerance(mesh, axis)
          )
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
