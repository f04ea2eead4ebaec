# frozen_string_literal: true

module TileLoom
  module Symbology
    # What a book draws with of its own beside what ships: typefaces (a Type::FaceSet), drawings of markers (a
    # MarkerSet), pictures (an Artwork::PictureSet).
    Assets =
      Struct.new(:faces, :markers, :pictures, keyword_init: true) do
        # Those of a book that has none of its own.
        def self.shipped = @shipped ||= new(faces: Type::FaceSet.new, markers: MarkerSet.new, pictures: nil).freeze
      end
  end
end
