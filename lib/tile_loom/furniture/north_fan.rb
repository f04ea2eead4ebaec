# frozen_string_literal: true

module TileLoom
  module Furniture
    # Arrows to several norths from one foot, as large as their room lets them be: true north with a star, grid
    # north with GN, magnetic north with half a point and MN (common practice on topographic sheets). Norths that
    # are the same to the minute lie on one line; others that lie too close to be told apart are drawn further apart.
    class NorthFan
      # Room between the letters of two arrows, as a share of their width.
      ROOM = 1.25
      # How long the arrows are against that to true north.
      SHARES = {"true" => 1.0, "grid" => 0.86, "magnetic" => 0.86}.freeze
      NORTHS = %w[grid magnetic].freeze
      STAR_POINTS = 5
      # Shorter arrows in mm are none.
      LEAST_MM = 5.0
      MINUTE_DEG = 1 / 60.0
      # Until the length is known to a hundredth of a mm.
      HALVINGS = 14
      # Where on its shaft a letter stands that has no place beyond the tip.
      BESIDE = 0.5

      # norths: {kind → degrees clockwise on the page}, "true" among them; box: page mm; language: a
      # Languages::Language.
      def initialize(norths, box, face:, size_pt:, colour:, language: Languages::Language.english)
        @letters_of = NORTHS.to_h { |north| [north, language.word("#{north}_north_letters")] }
        @norths, @box, @face, @size_pt, @colour = norths, box, face, size_pt, colour
      end

      def nodes = (length < LEAST_MM) ? [] : placed.flat_map { |kind, angle| arrow(kind, angle) }

      # Are some drawn further apart than they are?
      def widened? = placed.any? { |kind, angle| Units::Angle.wrapped(angle - @norths[kind]).abs > MINUTE_DEG }

      # Kind → degrees on the page, as they are drawn.
      def placed = @placed ||= spread([[@box.height, @box.width].min * 0.8, LEAST_MM].max)

      private

      def letters = @letters ||= @face.cap_height_mm(@size_pt)

      def half_width(kind) = (@half_widths ||= {})[kind] ||= @face.width_mm(@letters_of[kind], @size_pt) / 2

      # True north in its own place; on either side of it the others, at least so far from it and from one another.
      def spread(length)
        least = Math.atan(ROOM * @face.width_mm(@letters_of["magnetic"], @size_pt) / length) * 180 / Math::PI
        others = @norths.except("true").map { |kind, angle| [kind, Units::Angle.wrapped(angle - @norths["true"])] }
        east, west = others.partition { |_, angle| angle >= 0 }
        placed = {"true" => @norths["true"]}
        [[east, 1], [west, -1]].each do |list, sign|
          real = last = 0.0
          list
            .sort_by { |_, angle| angle.abs }
            .each do |kind, angle|
              last = (minutes(angle.abs) == minutes(real)) ? last : [angle.abs, last + least].max
              real = angle.abs
              placed[kind] = @norths["true"] + sign * last
            end
        end
        placed
      end

      def minutes(angle) = (angle / MINUTE_DEG).round

      # The longest arrows that lie in the room with their letters.
      def length
        @length ||=
          begin
            low, high = 0.0, 2 * [@box.width, @box.height].max
            HALVINGS.times { fits?(middle = (low + high) / 2) ? low = middle : high = middle }
            low
          end
      end

      def fits?(length) = extent(length).then { |found| found.width <= @box.width && found.height <= @box.height }

      # Box of all that is drawn about a foot at [0, 0].
      def extent(length)
        placed
          .map { |kind, angle| marks(kind, angle, length) }
          .reduce(Geometry::Box.new(0.0, 0.0, 0.0, 0.0)) { |all, box| all.union(box) }
      end

      # Box of a tip's star or letters.
      def marks(kind, angle, length)
        x, y = at(angle, *mark(kind, length))
        half = (kind == "true") ? letters * 0.75 : half_width(kind)
        tip = at(angle, 0, -length * SHARES.fetch(kind))
        Geometry::Box.new(x - half, y - letters * 0.75, x + half, y + letters * 0.75).union(
          Geometry::Box.new(*tip, *tip)
        )
      end

      # Where the middle of the star or of the letters lies, before it is turned: beyond the tip, or beside the shaft
      # of an arrow that lies on another's.
      def mark(kind, length)
        length *= SHARES.fetch(kind)
        return 0.0, -length - letters * 0.8 if kind == "true"
        sharing = placed.keys.select { |other| placed[other] == placed[kind] }
        place = (sharing - ["true"]).index(kind)
        # The tip of a line that true north lies on is the star's.
        return 0.0, -length - letters * 1.1 if place.zero? && !sharing.include?("true")
        side = (place.zero? || !sharing.include?("true")) ? free_side(kind) : -free_side(kind)
        [side * (half_width(kind) + letters * 0.6), -length * BESIDE]
      end

      # Beside which an arrow of its own does not go up: 1 for the right, -1 for the left.
      def free_side(kind)
        nearest = placed.values.map { |angle| Units::Angle.wrapped(angle - placed[kind]) }.reject(&:zero?).min_by(&:abs)
        nearest&.positive? ? -1 : 1
      end

      def at(angle, x, y) = ((@turns ||= {})[angle] ||= Geometry::Affine.turn(angle, 0.0, 0.0)).point(x, y)

      def foot
        @foot ||= extent(length).then { |found| [@box.centre[0] - found.centre[0], @box.centre[1] - found.centre[1]] }
      end

      def arrow(kind, angle)
        reach = length * SHARES.fetch(kind)
        place = ->(run) { run.each_slice(2).flat_map { |x, y| at(angle, x, y).zip(foot).map(&:sum) } }
        shaft =
          Scene::Path.new(
            runs: [place.call([0, 0, 0, -reach])],
            closed: false,
            stroke: Scene::Stroke.new(colour: @colour, width_mm: 0.18)
          )
        [shaft, *head(kind, reach, place)]
      end

      def head(kind, reach, place)
        half = letters * 0.35
        case kind
        when "true"
          [filled(star(letters * 0.75, -reach - letters * 0.8), place)]
        when "grid"
          [filled([0, -reach, -half, -reach + half * 3, half, -reach + half * 3], place), letter(kind, place)]
        else
          [filled([0, -reach, half * 1.4, -reach + half * 3.4, 0, -reach + half * 3.4], place), letter(kind, place)]
        end
      end

      def filled(run, place) =
        Scene::Path.new(runs: [place.call(run)], closed: true, fill: Scene::Fill.new(colour: @colour))

      # Upright letters.
      def letter(kind, place)
        x, y = place.call(mark(kind, length))
        Scene::Text.new(
          x: x - half_width(kind),
          y: y + letters / 2,
          string: @letters_of[kind],
          face: @face,
          size_pt: @size_pt,
          colour: @colour
        )
      end

      def star(radius, y)
        (0...STAR_POINTS * 2).flat_map do |n|
          angle = Math::PI * n / STAR_POINTS
          far = n.even? ? radius : radius * 0.42
          [far * Math.sin(angle), y - far * Math.cos(angle)]
        end
      end
    end
  end
end
