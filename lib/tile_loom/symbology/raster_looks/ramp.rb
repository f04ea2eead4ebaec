# frozen_string_literal: true

module TileLoom
  module Symbology
    module RasterLooks
      # Colours that run with a number, such as height: from its lowest to its highest, between two percentages of the
      # pixels, or between limits.
      class Ramp < RasterLook
        kind "ramp", "colour ramp", rank: 3

        # ColorBrewer's BrBG turned about (Apache licence), as tints of heights run: green below, brown above.
        TINTS = %w[#5ab4ac #c7eae5 #f5f5f5 #f6e8c3 #d8b365].freeze
        # Entries of the table that a value looks its colour up in.
        TABLE = 4096

        part :tints, list(Values::Types::COLOUR, least: 2, most: 64), default: TINTS
        part :reversed, flag, default: false
        part :stepped, flag, default: false, about: "Each colour stands by itself, for an equal part of the range."
        part :between,
          choice(
            :percentages => "percentages of the values",
            "lowest and highest" => "lowest and highest",
            :limits => "custom limits"
          ),
          default: "percentages"
        part :from, number(-1e12..1e12), about: "A percentage or a limit, as \"between\" says; 2 per cent by default."
        part :to, number(-1e12..1e12), about: "98 per cent by default."
        part :unit, text(most: 20), about: "Of the values, as a legend has it."
        part :relief, Relief.type, about: "Shading that is multiplied over the colours."

        def self.start(facts) = {"kind" => key, **(facts.unit ? {"unit" => facts.unit} : {})}

        def reach = relief ? 1 : 0

        def lossless?(_facts) = false

        def worked(pixels, slope, _facts)
          values = pixels[0].cast(:float)
          relief ? values.bandjoin(relief.shade(values, slope).cast(:float)) : values
        end

        # [lower, upper] value of the ramp's ends.
        def ends(facts)
          case between
          when "limits"
            [from || facts.lowest.first, to || facts.highest.first]
          when "percentages"
            facts.between(from || 2, to || 98)
          else
            [facts.lowest.first, facts.highest.first]
          end
        end

        def bar = ColourBar.new(colours: reversed? ? tints.reverse : tints, stepped: stepped?)

        def colours(bands, facts)
          tints = tinted(bands[0], facts)
          relief ? (tints * bands[1] / 255.0).rint.cast(:uchar).copy(interpretation: :srgb) : tints
        end

        def listed(layer, facts)
          return [] unless facts
          low, high = ends(facts)
          name = "#{rounded(low, high - low)}–#{rounded(high, high - low)}"
          own = unit || facts.unit
          title = own ? "#{name} #{own}" : name
          [entry(layer, "ramp", title: title, shape: :area, bar: bar, range: [low, high], unit: own)]
        end

        private

        def tinted(values, facts)
          low, high = ends(facts)
          factor = (TABLE - 1) / ((high > low) ? high - low : 1.0)
          index = values.linear([factor], [-low * factor]).rint
          index = (index < 0).ifthenelse(0, (index > TABLE - 1).ifthenelse(TABLE - 1, index))
          index.cast(:ushort).maplut(table).copy(interpretation: :srgb)
        end

        def table
          bytes = (0...TABLE).flat_map { |index| bar.at(index / (TABLE - 1.0)).map(&:round) }
          Vips::Image.new_from_memory(bytes.pack("C*"), TABLE, 1, 3, :uchar)
        end

        # To a hundredth of the range, so that no more is said than is seen.
        def rounded(value, range)
          decimals = (range.positive? ? 2 - Math.log10(range).floor : 2).clamp(0, 6)
          decimals = 0 if range >= 20
          Units::Number.plain(value, decimals: decimals)
        end

        def settle
          return unless between == "limits" && from && to && from >= to
          raise Refusal.new(
            "symbology.ramp_limits",
            from: Units::Number.plain(from, decimals: 4),
            to: Units::Number.plain(to, decimals: 4),
            at: "#{path}/to"
          )
        end
      end
    end
  end
end
