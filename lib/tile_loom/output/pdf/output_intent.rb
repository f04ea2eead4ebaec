# frozen_string_literal: true

require "zlib"

module TileLoom
  module Output
    module Pdf
      # For which device the colours of a document are made (ISO 32000-1, 14.11.5).
      class OutputIntent
        # manner: a PdfManner; profile: an Artwork::IccProfile of the device.
        def initialize(manner, profile)
          @manner, @profile = manner, profile
        end

        # The dictionary, its profile written into an ObjectFile.
        def write(file)
          {
            Type: :OutputIntent,
            S: @manner.exchange? ? :GTS_PDFX : :GTS_PDFA1,
            OutputConditionIdentifier: PDF::Core::LiteralString.new("Custom"),
            OutputCondition: @profile.name,
            Info: @profile.name,
            DestOutputProfile: file.add({N: @profile.colours}, stream: Zlib::Deflate.deflate(@profile.bytes, 9))
          }
        end
      end
    end
  end
end
