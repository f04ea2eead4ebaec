# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # What a grid's spacing is, in words for the margin: a field of dots with such a note can stand in for a
    # scale bar.
    class Note
      # grid: Grid; mesh: one of its meshes on the sheet; language: a Languages::Language.
      def initialize(grid, mesh, language = Languages::Language.english)
        @grid, @mesh, @language = grid, mesh, language
      end

      # Where the interval holds on the ground all over the sheet to this share, it is told as it is.
      UNTOLD = Bar::VerbalScale::UNTOLD

      # "Dots 5 mi apart; the diagonal is about 7.1 mi." Where the grid's own lengths are not those of the ground, both.
      def to_s
        return "" if @mesh.nil? || @mesh.trouble
        return "#{spacing}." if @mesh.crs.geographic?
        off = most_off
        return word(:on_ground, spacing: spacing, ground: on_ground) if off && off > UNTOLD
        word(:diagonal, spacing: spacing, length: diagonal)
      end

      # "Dots 5 mi apart", "Lines every 30″ of longitude and 20″ of latitude". The mesh has no trouble.
      def spacing
        x, y = %i[x y].map { |axis| words(axis) }
        alone, both = @mesh.crs.geographic? ? %i[every every_both] : %i[apart apart_both]
        (x == y) ? word(alone, things: things, x: x) : word(both, things: things, x: x, y: y)
      end

      # An interval as it is read: as it was typed where it is fixed.
      def words(axis) = self.class.interval(@grid, @mesh, axis, @language)

      def self.interval(grid, mesh, axis, language = Languages::Language.english)
        fixed = grid.interval[axis]
        return length(mesh.interval(axis), mesh.crs, language) unless fixed
        given = Interval.parse(fixed)
        given.angle? ? angle(given.degrees, language) : counted(given.value, given.unit, language)
      end

      # A number with the symbol of a unit.
      def self.counted(value, unit, language) =
        "#{language.number(value, decimals: decimals(value))} #{language.unit(unit, value)}"

      # "100 m", "2 km", "30″"
      def self.length(step, crs, language = Languages::Language.english)
        return angle(step, language) if crs.geographic?
        unit = crs.unit or return "#{language.number(step, decimals: decimals(step))} #{crs.unit_symbol}"
        return counted(step / 1000, "km", language) if unit.code == "m" && step >= 1000 && (step % 1000).zero?
        counted(step, unit.code, language)
      end

      def self.angle(step, language = Languages::Language.english)
        return "#{language.plain(step.to_f)}°" if (step % 1).zero?
        return "#{language.plain((step * 60).to_f)}′" if (step * 60 % 1).zero?
        "#{language.plain((step * 3600).to_f, decimals: 3)}″"
      end

      def self.decimals(value) = Units::Number.places(value) || 3

      private

      def word(...) = @language.word(...)

      def things = word(@grid.look)

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
        lengths = stated.map { |metres| metres_in_words(metres) }.join(" #{word(:and)} ")
        word(:about_within, lengths: lengths, percent: @language.plain(Bar::VerbalScale.ceiling(within), decimals: 4))
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
        decimals = [Bar::VerbalScale::FIGURES - 1 - Math.log10(value).floor, 0].max
        "#{@language.number(value, decimals: decimals)} #{@language.unit(unit, value)}"
      end

      # Two figures will do for a distance that is judged by eye.
      def diagonal
        unit, factor = unit_of
        length = Math.hypot(*%i[x y].map { |axis| (@mesh.interval(axis) / factor).to_f })
        decimals = [1 - Math.log10(length).floor, 0].max
        length = length.round(1 - Math.log10(length).floor)
        "#{@language.number(length, decimals: decimals)} #{symbol(unit, length)}"
      end

      # unit: a code; nil for what has none, as a reference may count in what is no unit of length known here.
      def symbol(unit, number) = unit ? @language.unit(unit, number) : @mesh.crs.unit_symbol

      # [code of a unit, in units of the reference] in which the spacing is told.
      def unit_of
        fixed = @grid.interval[:x]&.then { |text| Interval.parse(text) }
        return fixed.unit, Interval.new(1r, fixed.unit).in(@mesh.crs) if fixed
        unit = @mesh.crs.unit
        if unit&.code == "m" &&
            %i[x y].all? { |axis| @mesh.interval(axis) >= 1000 && (@mesh.interval(axis) % 1000).zero? }
          return "km", 1000r
        end
        [unit&.code, 1r]
      end
    end
  end
end
