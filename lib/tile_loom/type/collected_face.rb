# frozen_string_literal: true

require "ttfunk"

module TileLoom
  module Type
    # The first face of a collection of several in one file (OpenType, TTC header), as Debian packages have them.
    # Browsers take no collections.
    class CollectedFace < Face
      # Bytes before the offset of the first face: tag, version, number of faces.
      HEADER = 12

      def sent? = false

      def font = @font ||= OneReader.open(bytes, bytes[HEADER, 4].unpack1("N"))
    end
  end
end
