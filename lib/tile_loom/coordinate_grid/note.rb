# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # What a grid's spacing is, in words for the margin: a field of dots with such a note can stand in for a
    # scale bar.
    class Note
      # grid: Grid; mesh: one of its meshes on the sheet.
      def initialize(grid, mesh)
        @grid, @mesh = grid, mesh
      end

      # Where the interval holds on the ground all over the sheet to this share, it is told as it is.
      UNTOLD = Bar::VerbalScale::UNTOLD

      # "Dots 5 mi apart; the diagonal is about 7.1 mi." Where the grid's own lengths are not those of the ground, both.
      def to_s
        return "" if @mesh.nil? || @mesh.trouble
        return "#{spacing}." if @mesh.crs.geographic?
        off = most_off
        return "#{spacing} on the grid, #{on_ground} on the ground." if off && off > UNTOLD
        "#{spacing}; the diagonal is about #{diagonal}."
      end

      # "Dots 5 mi apart", "Lines every 30″ of longitude and 20″ of latitude". The mesh has no trouble.
      def spacing
        x, y = %i[x y].map { |axis| words(axis) }
        return "#{things} every #{(x == y) ? x : "#{x} of longitude and #{y} of latitude"}" if @mesh.crs.geographic?
        "#{things} #{(x == y) ? "#{x} apart" : "#{x} apart east–west, #{y} apart north–south"}"
      end

      # An interval as it is read: as it was typed where it is fixed.
      def words(axis) = self.class.interval(@grid, @mesh, axis)

      def self.interval(grid, mesh, axis)
        fixed = grid.interval[axis]
        return length(mesh.interval(axis), mesh.crs) unless fixed
        given = Interval.parse(fixed)
        if given.angle?
          angle(given.degrees)
        else
          "#{Units::Number.grouped(given.value, decimals: decimals(given.value))} #{Units::LengthUnit.find(given.unit).symbol}"
        end
      end

      # "100 m", "2 km", "30″"
      def self.length(step, crs)
        return angle(step) if crs.geographic?
        unit = crs.unit
        return "#{Units::Number.grouped(step / 1000)} km" if unit&.code == "m" && step >= 1000 && (step % 1000).zero?
        "#{Units::Number.grouped(step, decimals: decimals(step))} #{crs.unit_symbol}"
      end

      def self.angle(step)
        return "#{Units::Number.plain(step.to_f)}°" if (step % 1).zero?
        return "#{Units::Number.plain((step * 60).to_f)}′" if (step * 60 % 1).zero?
        "#{Units::Number.plain((step * 3600).to_f, decimals: 3)}″"
      end

      def self.decimals(value) = Units::Number.places(value) || 3

      private

      def things = Looks.of(@grid.look).title

      # Metres on the ground over those of the grid along both families, at places all over the frame: [least, in the
      # middle, most], or nil where it is not known.
      def shares
        return @shares if defined?(@shares)
        found = @mesh.view.frame.lattice(View::Measure::STEPS).map { |place| share_at(place) }
        middle = found[found.length / 2]
        @shares = middle && [found.compact.flatten.min, middle.sum / 2, found.compact.flatten.max]
      end

      # [shortest, longest] of a unit of the grid at a page place.
      def share_at(place)
        Crs::Factors.at(@mesh.crs, *@mesh.on_grid(place)).axes.map { |scale| 1 / scale }
      rescue Refusal
        nil
      end

      def most_off = shares && shares.values_at(0, 2).map { |share| (share - 1).abs }.max

      # "about 1.01 km, within 0.4 %,": the interval in the middle, and by how much it is off at most elsewhere.
      def on_ground
        low, middle, high = shares
        stated =
          %i[x y]
            .map { |axis| Bar::VerbalScale.figures(@mesh.interval(axis).to_f * @mesh.crs.metres_per_unit * middle) }
            .uniq
        within =
          stated.product(%i[x y]).map { |figure, axis| off(figure, axis, low, high, stated.length) }.compact.max * 100
        words = stated.map { |metres| metres_in_words(metres) }.join(" and ")
        "about #{words} (within #{Units::Number.plain(Bar::VerbalScale.ceiling(within), decimals: 4)} %)"
      end

      # By what share of the figure that is told the length of an axis is off at most; of two figures each tells of its
      # own.
      def off(figure, axis, low, high, figures)
        length = @mesh.interval(axis).to_f * @mesh.crs.metres_per_unit
        return nil if figures > 1 && Bar::VerbalScale.figures(length * shares[1]) != figure
        [low, high].map { |share| (length * share / figure - 1).abs }.max
      end

      def metres_in_words(metres)
        value, unit = (metres >= 1000) ? [metres / 1000, "km"] : [metres, "m"]
        "#{Units::Number.grouped(value, decimals: [Bar::VerbalScale::FIGURES - 1 - Math.log10(value).floor, 0].max)} " \
          "#{unit}"
      end

      # Two figures will do for a distance that is judged by eye.
      def diagonal
        unit, factor = unit_of
        length = Math.hypot(*%i[x y].map { |axis| (@mesh.interval(axis) / factor).to_f })
        decimals = [1 - Math.log10(length).floor, 0].max
        "#{Units::Number.grouped(length.round(1 - Math.log10(length).floor), decimals: decimals)} #{unit}"
      end

      # [symbol, in units of the reference] in which the spacing is told.
      def unit_of
        fixed = @grid.interval[:x]&.then { |text| Interval.parse(text) }
        return Units::LengthUnit.find(fixed.unit).symbol, Interval.new(1r, fixed.unit).in(@mesh.crs) if fixed
        unit = @mesh.crs.unit
        if unit&.code == "m" &&
            %i[x y].all? { |axis| @mesh.interval(axis) >= 1000 && (@mesh.interval(axis) % 1000).zero? }
          return "km", 1000r
        end
        [@mesh.crs.unit_symbol, 1r]
      end
    end
  end
end
