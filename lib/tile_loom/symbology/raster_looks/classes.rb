# frozen_string_literal: true

module TileLoom
  module Symbology
    module RasterLooks
      # A colour for each class of values, such as land cover; values of no class are clear.
      class Classes < RasterLook
        kind "classes", "classes", rank: 2

        MOST = 256

        part :classes,
          list(RasterClass.type, least: 1, most: MOST, ids: Values::EntryIds.new("class", by: "value")),
          required: true

        # Colours that are told apart, for classes without one: ColorBrewer's Paired and Set3 (Apache licence).
        MADE = %w[
          #a6cee3
          #1f78b4
          #b2df8a
          #33a02c
          #fb9a99
          #e31a1c
          #fdbf6f
          #ff7f00
          #cab2d6
          #6a3d9a
          #ffff99
          #b15928
          #8dd3c7
          #bebada
          #80b1d3
          #fccde5
          #d9d9d9
          #bc80bd
          #ccebc5
          #ffed6f
        ].freeze

        def self.start(facts)
          named = facts.classes.to_a.first(MOST)
          named = between(facts) if named.empty?
          {
            "kind" => key,
            "classes" =>
              named.each_with_index.map do |entry, index|
                {"title" => entry["value"].to_s, "colour" => MADE[index % MADE.length]}.merge(entry)
              end
          }
        end

        # Seven ranges of the same width, of numbers without classes.
        def self.between(facts)
          low, high = facts.lowest.first, facts.highest.first
          step = (high - low) / 7.0
          step = 1.0 unless step.positive?
          (0...7).map do |index|
            from, to = [low + index * step, low + (index + 1) * step].map { |number| number.round(6) }
            title = "#{Units::Number.plain(from, decimals: 2)}–#{Units::Number.plain(to, decimals: 2)}"
            {"title" => title, **(index.zero? ? {} : {"from" => from}), **((index == 6) ? {} : {"to" => to})}
          end
        end
        private_class_method :between

        def interpolation(_facts) = "nearest"

        def colours(bands, _facts)
          table = [[0, 0, 0], *classes.map(&:rgb)]
          planes = (0..2).map { |band| Vips::Image.new_from_array([table.map { |rgb| rgb[band] }]) }
          index_of(bands).maplut(planes.first.bandjoin(planes.drop(1)).cast(:uchar)).copy(interpretation: :srgb)
        end

        def shown(bands, _facts)
          hidden = classes.map { |entry| entry.hidden? ? 0 : 255 }
          index = index_of(bands)
          index.maplut(Vips::Image.new_from_array([[0, *hidden]]).cast(:uchar))
        end

        def listed(layer, facts) = shown_classes.map { |known| entry_of(layer, facts, known) }

        def entries(layer, facts)
          present = yield
          shown_classes
            .select { |known| present.any? { |value| known.holds?(value) } }
            .map { |known| entry_of(layer, facts, known) }
        end

        private

        def shown_classes = classes.reject(&:hidden?)

        def entry_of(layer, facts, known)
          entry(
            layer,
            known.key,
            title: known.title,
            shape: :area,
            symbol: MapSymbol.new({"fill" => {"colour" => known.colour}}),
            range: known.value ? nil : [known.from, known.to],
            unit: facts&.unit
          )
        end

        # The number of the class of each pixel, from 1; 0 for none. The first class that holds a value has it.
        def index_of(bands)
          exact = bands.format.to_s.match?(/char|short|int/)
          return table_of(bands) if exact && %i[uchar ushort].include?(bands.format)
          if bands.format == :short && classes.all? { |entry| entry.range[0] >= 0 }
            return table_of((bands < 0).ifthenelse(65_535, bands).cast(:ushort))
          end
          classes
            .each_with_index
            .reverse_each
            .reduce(zero(bands)) do |found, (entry, index)|
              from, to = entry.range
              inside = (entry.value && exact) ? (bands == entry.value) : within(bands, from, to)
              inside.ifthenelse(index + 1, found)
            end
            .cast(:ushort)
        end

        def zero(bands) = Vips::Image.black(bands.width, bands.height).cast(:ushort)

        def within(bands, from, to)
          above = from.finite? ? (bands >= from) : nil
          below = to.finite? ? (bands < to) : nil
          [above, below].compact.reduce { |one, other| one & other } || bands.relational(bands, :equal)
        end

        # Small whole numbers by a table.
        def table_of(bands)
          size = (bands.format == :uchar) ? 256 : 65_536
          list = Array.new(size, 0)
          classes.each_with_index.reverse_each do |entry, index|
            from, to = entry.range
            (from.clamp(0, size).ceil...to.clamp(0, size).ceil).each { |value| list[value] = index + 1 }
          end
          bands.maplut(Vips::Image.new_from_memory(list.pack("S*"), size, 1, 1, :ushort))
        end
      end
    end
  end
end
