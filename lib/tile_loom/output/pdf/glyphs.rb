# frozen_string_literal: true

module TileLoom
  module Output
    module Pdf
      # The operators that show a run (ISO 32000-2, 9.4): glyphs, and between them what moves the next one (thousandths
      # of the size, to the left) where kerning, spacing or a mark's place make it another than the font's own advance;
      # a mark above or below its letter's line is raised.
      class Glyphs
        # node: the Scene::Text that the run is of; before: the run on its left, or nil.
        def initialize(run, node, before = nil)
          @run, @face, @node, @before = run, run.face, node, before
        end

        # map: {glyph → the characters that stand for it in the font's map}; what is not there yet is put into it, to be
        # embedded. Where the map would say something else of a cluster, its own text is said of it (ISO 32000-2,
        # 14.9.4): cluster by cluster, so that readers that put the parts of a line in order see them where they stand.
        def operators(map)
          @out, @rise = +"", 0
          @open = nil
          first = undirected
          clusters.each do |cluster|
            cluster.each { |glyph| map[glyph.glyph] ||= unicode(glyph) }
            next directed(cluster) if cluster.first.equal?(first)
            mapped?(cluster, map) ? cluster.each { |glyph| show(glyph) } : parted(cluster)
          end
          close
          rise(0)
          @out.strip
        end

        private

        # The marks that say a direction where characters do not (Unicode Standard Annex 9, 2.6).
        LEFT_TO_RIGHT, RIGHT_TO_LEFT = "\u200E", "\u200F"
        # Letters and digits have a direction of their own.
        DIRECTED = /[\p{L}\p{N}]/

        # Readers that put a page's characters in order by themselves take a bracket or stop at the left end of a run
        # as part of what is on its left: the first glyph of a run that is such a one, or nil.
        def undirected
          return nil unless @run.rtl || @before&.rtl
          first = @run.glyphs.find { |glyph| !glyph.text.strip.empty? }
          first unless first.nil? || first.text.match?(DIRECTED)
        end

        def directed(cluster)
          spoken((@run.rtl ? RIGHT_TO_LEFT : LEFT_TO_RIGHT) + cluster.first.text) do
            cluster.each { |glyph| show(glyph) }
          end
        end

        # A glyph that stands for characters, and those that stand for them with it.
        def clusters = @run.glyphs.slice_before { |glyph| !glyph.text.empty? }.to_a

        def mapped?(cluster, map)
          return false if cluster.length > 1 && cluster.first.advance.zero?
          said, text = cluster.map { |glyph| map[glyph.glyph] }.join, cluster.first.text
          said == text || (!cluster.first.glyph.zero? && alike?(said, text))
        end

        # What takes room is read as the text, and the marks on it, drawn after it, as nothing: readers find words by
        # where glyphs begin and end.
        def parted(cluster)
          text, width = cluster.first.text, cluster.sum(&:advance)
          marks, rest = cluster.partition { |glyph| glyph.advance.zero? }
          return spoken(text) { cluster.each { |glyph| show(glyph) } } if rest.empty? || marks.empty?
          points = rest.sum { |glyph| spaced(glyph) }
          before = marks.to_h { |mark| [mark, cluster.take_while { |glyph| !glyph.equal?(mark) }.sum(&:advance)] }
          spoken(text) { rest.each { |glyph| show(glyph) } }
          spoken("") do
            marks.each do |mark|
              back = width - before[mark]
              move(back, -points)
              show(mark)
              move(-back, points)
            end
          end
        end

        # A space that does not break is read as a space, the ohm sign as an omega (Unicode's compatibility forms).
        def alike?(said, text) = said.unicode_normalize(:nfkc) == text.unicode_normalize(:nfkc)

        def spoken(text)
          close
          @out << "/Span << /ActualText <#{("\uFEFF" + text).encode("UTF-16BE").unpack1("H*")}> >> BDC "
          yield
          close
          @out << "EMC "
        end

        def show(glyph)
          rise(glyph.y_offset)
          move(-glyph.x_offset)
          @open << format("%04x", glyph.glyph)
          move(@face.advance(glyph.glyph) - glyph.advance + glyph.x_offset, spaced(glyph))
        end

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
