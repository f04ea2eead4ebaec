# frozen_string_literal: true

module TileLoom
  module Output
    module Pdf
      # The operators that show a run (ISO 32000-2, 9.4): glyphs, and between them what moves the next one (thousandths
      # of the size, to the left) where kerning, spacing or a mark's place make it another than the font's own advance;
      # a mark above or below its letter's line is raised.
      class Glyphs
        # node: the Scene::Text that the run is of.
        def initialize(run, node)
          @run, @face, @node = run, run.face, node
        end

        # Yields each glyph with the character that stands for it in the font's map, to be embedded.
        def operators
          @out, @rise = +"", 0
          @open = nil
          @run.glyphs.each do |glyph|
            yield glyph.glyph, unicode(glyph)
            rise(glyph.y_offset)
            move(-glyph.x_offset)
            @open << format("%04x", glyph.glyph)
            move(@face.advance(glyph.glyph) - glyph.advance + glyph.x_offset, spaced(glyph))
          end
          close
          rise(0)
          @out.strip
        end

        private

        # The plain character of a glyph, or what it stands for in this text.
        def unicode(glyph) = glyph.glyph.zero? ? "\uFFFD" : (@face.character(glyph.glyph) || glyph.text)

        def per_mille(units) = units * 1000 / @face.units_per_em

        # Points added after the glyph; marks take none.
        def spaced(glyph)
          return 0.0 unless glyph.advance.positive?
          @node.tracking_pt + ((glyph.text == " ") ? @node.word_pt : 0.0)
        end

        # By font units to the left, and points to the right.
        def move(units, points = 0.0)
          @open ||= +"<"
          return if units.zero? && points.zero?
          shift = real((per_mille(units) - points * 1000 / @node.size_pt).round(3))
          @open << "> #{shift} <" unless shift == "0"
        end

        def rise(units)
          return if units == @rise
          close
          @rise = units
          @out << "#{real(units * @node.size_pt / @face.units_per_em)} Ts "
        end

        def close
          return unless @open
          @out << "[#{(@open << ">").delete_suffix("<>").gsub("<>", "").strip}] TJ "
          @open = nil
        end

        def real(value) = Content.real(value)
      end
    end
  end
end
