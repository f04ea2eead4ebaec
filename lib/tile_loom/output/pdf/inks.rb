# frozen_string_literal: true

module TileLoom
  module Output
    module Pdf
      # How colours of a drawing are written: those of the screen as they are, or what a press lays down, by the book's
      # palette and for all others by a profile. Black is black alone.
      class Inks
        BLACK = "#000000"
        SPOT = "S"

        # palette: Symbology::Ink list; profile: an Artwork::IccProfile of a press, or nil for colours of the screen.
        def initialize(palette: [], profile: nil)
          @profile = profile
          @palette = palette.to_h { |ink| [ink.colour.downcase, ink] }
          @written = {}
        end

        def press? = !@profile.nil?

        # That of the press, or nil for colours of the screen.
        attr_reader :profile

        # Operators that set a colour ("#rrggbb"). stroke: for lines; the names of spot colours used go to `spots`.
        def operators(hex, stroke: false)
          @written[[hex, stroke]] ||= press? ? press(hex.downcase, stroke) : screen(hex, stroke)
        end

        # Shares of the inks, or of red, green and blue, that stand for a colour. (One of its own is told by what stands
        # for it.)
        def shares(hex)
          return hex.delete_prefix("#").scan(/../).map { |pair| pair.hex / 255.0 } unless press?
          ink = @palette[hex.downcase]
          return ink.shares if ink
          (hex == BLACK) ? [0, 0, 0, 1] : @profile.of_screen(hex.downcase)
        end

        # Is it printed over what lies below? text: black text always is.
        def overprint?(hex, text: false)
          press? && ((text && hex.casecmp?(BLACK)) || @palette[hex.downcase]&.overprint? || false)
        end

        # The Symbology::Ink of its own that a colour is, or nil.
        def spot(hex) = press? ? @palette[hex.downcase]&.then { |ink| ink if ink.spot? } : nil

        # Name of a spot colour among the resources: by what it is called.
        def self.name(ink) = "#{SPOT}#{Digest::SHA256.hexdigest(ink.name)[0, 12]}"

        private

        def screen(hex, stroke) = "#{numbers(shares(hex))} #{stroke ? "RG" : "rg"}"

        def press(hex, stroke)
          ink = @palette[hex]
          if ink&.spot?
            name = self.class.name(ink)
            return stroke ? "/#{name} CS 1 SCN" : "/#{name} cs 1 scn"
          end
          "#{numbers(shares(hex))} #{stroke ? "K" : "k"}"
        end

        def numbers(shares) = shares.map { |share| Content.real(share.to_f.round(4)) }.join(" ")
      end
    end
  end
end
