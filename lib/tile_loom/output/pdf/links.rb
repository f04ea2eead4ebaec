# frozen_string_literal: true

module TileLoom
  module Output
    module Pdf
      # The links of pages as annotations (ISO 32000-1, 12.5.6.5): to pages of this document, to documents beside it,
      # to web addresses.
      class Links
        # here: {number of a sheet → its name} of the pages of this document; elsewhere: {number → [name of the file,
        # name of the sheet]} of documents that lie beside it.
        def initialize(here: {}, elsewhere: {})
          @here, @elsewhere = here, elsewhere
        end

        # Those of a page's links that lead somewhere.
        def leading(links) =
          links.select { |link| link["address"] || @here.key?(link["sheet"]) || @elsewhere.key?(link["sheet"]) }

        # The annotation's own syntax. more: members besides, as a text. /F 4: it is printed (as PDF/A asks).
        def annotation(link, more = "")
          xs, ys = link["ring"].each_slice(2).to_a.transpose
          rect = [xs.min, ys.min, xs.max, ys.max]
          "<< /Type /Annot /Subtype /Link /Rect #{numbers(rect)} /Border [0 0 0] /F 4#{turned(link["ring"], rect)} " \
            "#{target(link)}#{" /Contents #{string(link["words"])}" if link["words"]}#{more} >>"
        end

        private

        # Where it does not lie along the page's sides.
        def turned(ring, rect)
          upright = ring.each_slice(2).all? { |x, y| near?(x, rect[0], rect[2]) && near?(y, rect[1], rect[3]) }
          upright ? "" : " /QuadPoints #{numbers(ring.first(8))}"
        end

        def near?(value, low, high) = [low, high].any? { |side| (value - side).abs < 0.01 }

        def target(link)
          return "/A << /S /URI /URI #{literal(link["address"])} >>" if link["address"]
          number = link["sheet"]
          if (name = @here[number])
            return "/A << /S /GoTo /D #{literal(Destinations.key(number, name))} >>"
          end
          file, name = @elsewhere.fetch(number)
          "/A << /S /GoToR /F << /Type /Filespec /F #{literal(file)} /UF #{string(file)} >> /D " \
          "#{literal(Destinations.key(number, name))} >>"
        end

        def numbers(list) = "[#{list.map { |value| Content.real(value) }.join(" ")}]"

        def literal(text) = PDF::Core.pdf_object(PDF::Core::LiteralString.new(text.b))

        def string(text) = PDF::Core.pdf_object(text)
      end
    end
  end
end
