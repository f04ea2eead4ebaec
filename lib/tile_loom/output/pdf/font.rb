# frozen_string_literal: true

require "zlib"

module TileLoom
  module Output
    module Pdf
      # Embeds the used part of a face as a composite font (ISO 32000-2, 9.7): content streams name the
      # face's own glyph numbers, a map leads from them to the subset, a CMap back to text for search.
      class Font
        # Holds the glyphs that shaping chose, which need not be those of the characters one by one.
        class GlyphSubset < TTFunk::Subset::Unicode
          def initialize(font, glyphs)
            super(font)
            @wanted = glyphs
          end

          def original_glyph_ids = ([0] + @wanted).uniq.sort
        end

        # used: {glyph id → the characters that it stands for}
        def initialize(face, used)
          @face, @used = face, used.sort.to_h
        end

        # Writes the font's objects into an ObjectFile under a reference.
        def write(file, reference)
          return write_compact(file, reference) if @face.compact?
          subset = GlyphSubset.new(@face.font, @used.keys)
          @used.each_value { |text| subset.use(text.ord) if text.length == 1 }
          bytes = subset.encode
          data = file.add({Length1: bytes.bytesize}, stream: Zlib::Deflate.deflate(bytes, 9))
          name = :"#{tag(bytes)}+#{@face.font.name.postscript_name}"
          cid = file.add(cid_font(name, descriptor(file, name, data), glyph_map(file, subset)))
          composite(file, reference, name, cid)
        end

        private

        # OpenType with compact outlines has its own glyph numbers (ISO 32000-2, table 124: FontFile3, OpenType).
        def write_compact(file, reference)
          bytes = Type::Subset.of_glyphs(@face.bytes, @used.keys)
          name = :"#{tag(bytes)}+#{@face.font.name.postscript_name}"
          data = file.add({Subtype: :OpenType}, stream: Zlib::Deflate.deflate(bytes, 9))
          cid = file.add(cid_font(name, descriptor(file, name, data), nil))
          composite(file, reference, name, cid)
        end

        def composite(file, reference, name, cid)
          file.write(
            reference,
            {
              Type: :Font,
              Subtype: :Type0,
              BaseFont: name,
              Encoding: :"Identity-H",
              DescendantFonts: [cid],
              ToUnicode: file.add({}, stream: Zlib::Deflate.deflate(unicode_map, 9))
            }
          )
        end

        # Six letters that depend on the subset alone.
        def tag(bytes) = Digest::SHA256.digest(bytes).bytes.first(6).map { |byte| (65 + byte % 26).chr }.join

        def per_mille(units) = (units * 1000 / @face.units_per_em).round

        def cid_font(name, descriptor, map)
          widths = @used.flat_map { |glyph, _| [glyph, [per_mille_exact(@face.advance(glyph))]] }
          {
            Type: :Font,
            Subtype: map ? :CIDFontType2 : :CIDFontType0,
            BaseFont: name,
            FontDescriptor: descriptor,
            CIDToGIDMap: map,
            DW: 0,
            W: widths,
            CIDSystemInfo: {
              Registry: PDF::Core::LiteralString.new("Adobe"),
              Ordering: PDF::Core::LiteralString.new("Identity"),
              Supplement: 0
            }
          }.compact
        end

        def per_mille_exact(units) = units * 1000 / @face.units_per_em

        def descriptor(file, name, data)
          font = @face.font
          file.add(
            {
              :Type => :FontDescriptor,
              :FontName => name,
              (@face.compact? ? :FontFile3 : :FontFile2) => data,
              :FontBBox => font.bbox.map { |units| per_mille(units) },
              :Flags => (@face.style == "italic") ? 68 : 4,
              :StemV => per_mille(@face.stem_width),
              :ItalicAngle => @face.italic_angle,
              :Ascent => per_mille(font.ascent),
              :Descent => per_mille(font.descent),
              :CapHeight => per_mille(@face.cap_height)
            }
          )
        end

        def glyph_map(file, subset)
          table = Array.new(@used.keys.max.to_i + 1, 0)
          @used.each_key { |glyph| table[glyph] = subset.old_to_new_glyph[glyph] || 0 }
          file.add({}, stream: Zlib::Deflate.deflate(table.pack("n*"), 9))
        end

        def unicode_map
          rows =
            @used
              .reject { |_, text| text.empty? }
              .map { |glyph, text| format("<%04x> <%s>", glyph, text.encode("UTF-16BE").unpack1("H*")) }
          blocks =
            rows.each_slice(100).map { |slice| "#{slice.length} beginbfchar\n#{slice.join("\n")}\nendbfchar\n" }.join
          <<~CMAP
            /CIDInit /ProcSet findresource begin
            12 dict begin
            begincmap
            /CIDSystemInfo << /Registry (Adobe) /Ordering (UCS) /Supplement 0 >> def
            /CMapName /Adobe-Identity-UCS def
            /CMapType 2 def
            1 begincodespacerange
            <0000> <ffff>
            endcodespacerange
            #{blocks}endcmap
            CMapName currentdict /CMap defineresource pop
            end
            end
          CMAP
        end
      end
    end
  end
end
