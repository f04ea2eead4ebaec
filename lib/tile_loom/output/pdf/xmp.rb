# frozen_string_literal: true

require "cgi"

module TileLoom
  module Output
    module Pdf
      # The metadata of a document (XMP, ISO 16684-1), which say the same as its information dictionary.
      class Xmp
        # about: an About; manner: a PdfManner; fingerprint: hexadecimal, which tells the document from others.
        def initialize(about, manner, fingerprint:)
          @about, @manner, @fingerprint = about, manner, fingerprint
        end

        # The packet as bytes.
        def to_s = <<~XMP.b
          <?xpacket begin="\uFEFF" id="W5M0MpCehiHzreSzNTczkc9d"?>
          <x:xmpmeta xmlns:x="adobe:ns:meta/">
          <rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#">
          <rdf:Description rdf:about="" xmlns:dc="http://purl.org/dc/elements/1.1/" xmlns:xmp="http://ns.adobe.com/xap/1.0/" xmlns:pdf="http://ns.adobe.com/pdf/1.3/" xmlns:xmpMM="http://ns.adobe.com/xap/1.0/mm/" xmlns:pdfaid="http://www.aiim.org/pdfa/ns/id/" xmlns:pdfxid="http://www.npes.org/pdfx/ns/id/">
          #{members.join("\n")}
          </rdf:Description>
          </rdf:RDF>
          </x:xmpmeta>
          <?xpacket end="w"?>
        XMP

        private

        def members =
          [
            "<dc:format>application/pdf</dc:format>",
            "<dc:title><rdf:Alt><rdf:li xml:lang=\"x-default\">#{text(@about.title)}</rdf:li></rdf:Alt></dc:title>",
            @about.given(@about.author) &&
              "<dc:creator><rdf:Seq><rdf:li>#{text(@about.author)}</rdf:li></rdf:Seq></dc:creator>",
            @about.given(@about.subject) &&
              "<dc:description><rdf:Alt><rdf:li xml:lang=\"x-default\">#{text(@about.subject)}</rdf:li></rdf:Alt></dc:description>",
            @about.language &&
              "<dc:language><rdf:Bag><rdf:li>#{text(@about.language)}</rdf:li></rdf:Bag></dc:language>",
            "<pdf:Producer>Tile Loom</pdf:Producer>",
            "<xmp:CreatorTool>Tile Loom</xmp:CreatorTool>",
            *dates,
            *identity,
            *standard
          ].compact

        def dates
          return [] unless @about.date
          time = @about.time.strftime("%Y-%m-%dT%H:%M:%SZ")
          %w[CreateDate ModifyDate MetadataDate].map { |name| "<xmp:#{name}>#{time}</xmp:#{name}>" }
        end

        def identity =
          [
            "<xmpMM:DocumentID>uuid:#{uuid}</xmpMM:DocumentID>",
            "<xmpMM:VersionID>1</xmpMM:VersionID>",
            "<xmpMM:RenditionClass>default</xmpMM:RenditionClass>"
          ]

        def standard
          if @manner.archive?
            part = @manner.standard[/\d/]
            ["<pdfaid:part>#{part}</pdfaid:part>", "<pdfaid:conformance>U</pdfaid:conformance>"]
          elsif @manner.exchange?
            %w[<pdfxid:GTS_PDFXVersion>PDF/X-4</pdfxid:GTS_PDFXVersion> <pdf:Trapped>False</pdf:Trapped>]
          else
            []
          end
        end

        # In the form of RFC 9562, version 8 (what it is made of is ours).
        def uuid
          parts = @fingerprint.match(/\A(.{8})(.{4}).(.{3}).(.{3})(.{12})/).captures
          format("%s-%s-8%s-8%s-%s", *parts)
        end

        def text(string) = CGI.escapeHTML(string.to_s)
      end
    end
  end
end
