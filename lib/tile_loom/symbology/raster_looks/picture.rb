# frozen_string_literal: true

module TileLoom
  module Symbology
    module RasterLooks
      # As a photograph or a scanned sheet: bands as red, green and blue, or one as grey.
      class Picture < RasterLook
        kind "picture", "image", rank: 1

        PERCENT = -100..100
        # Luma of red, green and blue (ITU-R BT.709).
        LUMA = [0.2126, 0.7152, 0.0722].freeze

        part :bands,
          list(whole(1..64), least: 1, most: 3),
          about: "Which bands are shown: one as grey, three as red, green and blue."
        part :brightness, number(PERCENT), default: 0, about: "In per cent; 0 as it is."
        part :contrast, number(PERCENT), default: 0, about: "In per cent; 0 as it is."
        part :saturation, number(PERCENT), default: 0, about: "In per cent; -100 is grey."
        part :gamma, number(above: 0, most: 10), default: 1, about: "Above 1 lightens the middle tones."
        part :stretch,
          list(number(0..100), least: 2, most: 2),
          about:
            "Percentages of the values, in rising order, between which black and white are set; bytes are " \
              "shown as they are without it, larger numbers between 2 and 98."
        part :clear_colour, Values::Types::COLOUR, about: "This colour is transparent."
        part :resampling, choice(bilinear: "bilinear", cubic: "cubic"), default: "bilinear"

        # The colours of a table are colours, none of them between two others.
        def interpolation(facts)
          return "nearest" if facts.palette?
          (resampling == "cubic") ? "bicubic" : "bilinear"
        end

        # What has few colours keeps each of them.
        def lossless?(facts) = facts.few_colours?

        def worked(pixels, _ground, facts) = classes(facts) ? pixels : chosen(pixels, facts)

        def colours(bands, facts)
          shown = levelled(bands, facts)
          plain? ? shown : toned(shown)
        end

        def shown(bands, facts)
          known = classes(facts)&.shown(bands, facts)
          return known unless clear_colour
          wanted = clear_colour.delete_prefix("#").scan(/../).map(&:hex)
          levels = levelled(bands, facts)
          wanted = [wanted[0]] if levels.bands == 1
          [known, (levels == wanted).bandand.invert].compact.reduce { |one, other| one & other }
        end

        private

        # Numbers that stand for colours, as the file says: what shows them; nil for others.
        def classes(facts)
          return nil unless facts.kind == "classes" && facts.palette?
          look = RasterLooks.of("classes")
          look.new(look.start(facts))
        end

        # From 0; of a raster of two bands or more than three, the first ones where none are named.
        def numbers(facts)
          wanted = bands || ((facts.bands >= 3) ? [1, 2, 3] : [1])
          wanted = [wanted.first] if wanted.length == 2
          wanted.map { |band| (band - 1).clamp(0, facts.bands - 1) }
        end

        def chosen(pixels, facts)
          list = numbers(facts).map { |band| pixels[band] }
          list.one? ? list.first : list.first.bandjoin(list.drop(1))
        end

        def levelled(bands, facts)
          known = classes(facts)
          return known.colours(bands, facts) if known
          return bands.cast(:uchar) if facts.type == "Byte" && stretch.nil?
          ends = numbers(facts).map { |band| facts.between(*(stretch || [2, 98]), band) }
          factors = ends.map { |low, high| 255.0 / ((high > low) ? high - low : 1) }
          bands.linear(factors, ends.zip(factors).map { |(low, _), factor| -low * factor }).rint.cast(:uchar)
        end

        def plain? = [brightness, contrast, saturation].all?(&:zero?) && gamma == 1

        def toned(image)
          toned = image.maplut(table)
          return toned if saturation.zero? || toned.bands != 3
          share = 1 + saturation / 100.0
          rows = (0..2).map { |row| (0..2).map { |column| LUMA[column] * (1 - share) + ((row == column) ? share : 0) } }
          toned.recomb(rows).rint.cast(:uchar)
        end

        # Of 256 bytes: gamma, then contrast about the middle, then brightness.
        def table
          factor = (contrast >= 0) ? 1 / (1 - contrast / 100.0 * 0.99) : 1 + contrast / 100.0
          list =
            (0..255).map do |value|
              tone = (value / 255.0)**(1 / gamma)
              (((tone - 0.5) * factor + 0.5 + brightness / 100.0) * 255).round.clamp(0, 255)
            end
          Vips::Image.new_from_array([list]).cast(:uchar)
        end
      end
    end
  end
end
