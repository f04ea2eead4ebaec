# frozen_string_literal: true

module TileLoom
  module Type
    # How a stretch of text looks. face: a FaceStack; tracking_pt: added after each character; rise_mm: its baseline
    # above that of the line; underlined, struck: is a line drawn under it, through it?
    TextStyle =
      Struct.new(:face, :size_pt, :colour, :tracking_pt, :rise_mm, :underlined, :struck, keyword_init: true) do
        def initialize(
          face:,
          size_pt:,
          colour: "#1f2a30",
          tracking_pt: 0.0,
          rise_mm: 0.0,
          underlined: false,
          struck: false
        )
          super
          freeze
        end

        def with(**members) = self.class.new(**to_h, **members)

        def width_mm(string) = face.width_mm(string, size_pt, tracking_pt: tracking_pt)

        # Smaller and above the line, or below it: by the sizes and the shifts that the face's maker gives (OpenType,
        # OS/2 table, ySuperscript… and ySubscript…), or two thirds of the size, a third of it up or a sixth of it down.
        def superscript = shifted(:superscript, 2.0 / 3, 1.0 / 3)

        def subscript = shifted(:subscript, 2.0 / 3, -1.0 / 6)

        # [distance below the baseline, thickness] of an underline in mm, by the face's post table.
        def underline
          table = face.font.postscript
          # ttfunk reads the signed numbers of the table as unsigned ones.
          position, thickness = [table.underline_position, table.underline_thickness].map { |raw| signed(raw) }
          unless position && thickness&.positive?
            return -size_pt * 0.1 * Face::MM_PER_PT, size_pt * 0.05 * Face::MM_PER_PT
          end
          [position, thickness].map { |units| units * size_pt / face.units_per_em * Face::MM_PER_PT }
        end

        private

        def signed(raw) = (raw && raw > 0x7FFF) ? raw - 0x10000 : raw

        def shifted(kind, share, rise)
          share, rise = given(kind) || [share, rise]
          with(size_pt: size_pt * share, rise_mm: rise_mm + rise * size_pt * Face::MM_PER_PT)
        end

        # [share of the size, shift up as a share of the size] in the font; nil where it does not say.
        def given(kind)
          table = face.font.os2
          return nil unless table.exists?
          size, offset = table.public_send(:"y_#{kind}_y_size"), table.public_send(:"y_#{kind}_y_offset")
          return nil unless size&.positive? && offset
          [size / face.units_per_em, ((kind == :superscript) ? offset : -offset.abs) / face.units_per_em]
        end
      end
  end
end
