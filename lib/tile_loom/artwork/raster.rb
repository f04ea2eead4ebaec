# frozen_string_literal: true

require "vips"

module TileLoom
  module Artwork
    # A picture of pixels, PNG or JPEG, as a book carries it.
    class Raster
      MEDIA = {"\x89PNG\r\n\x1a\n".b => "image/png", "\xff\xd8\xff".b => "image/jpeg"}.freeze
      # More pixels than this are refused before any is read: they would fill the memory.
      MOST_PIXELS = 64_000_000
      LONGEST_SIDE = 20_000

      attr_reader :bytes, :name

      # bytes: of the file; name: for what is said of it. Refusal for what is no such picture.
      def initialize(bytes, name: "The picture")
        @bytes, @name = bytes.b, name
        refuse("artwork.neither_png_nor_jpeg") unless media
        if width_px * height_px > MOST_PIXELS
          refuse(
            "artwork.too_many_pixels",
            width_px: grouped(width_px),
            height_px: grouped(height_px),
            most_million: MOST_PIXELS / 1_000_000
          )
        end
        if [width_px, height_px].max > LONGEST_SIDE
          refuse(
            "artwork.side_too_long",
            width_px: grouped(width_px),
            height_px: grouped(height_px),
            longest: grouped(LONGEST_SIDE)
          )
        end
      end

      # Is it made for one drawing (see Pixels)?
      def carried? = false

      def media = MEDIA.find { |start, _| @bytes.start_with?(start) }&.last

      def content = @content ||= TileLoom::Assets::Enclosures.content_of(@bytes)

      def width_px = image.width

      def height_px = image.height

      # The same picture as it is kept: upright, in a colour space that prints, every pixel read once to
      # know that all are there. What needs no change keeps its bytes.
      def settled
        whole = Vips::Image.new_from_buffer(@bytes, "", fail_on: :error)
        whole.avg
        return self if upright? && plain?
        turned = whole.autorot.colourspace(:srgb).cast(:uchar)
        self.class.new(
          (media == "image/jpeg") ? turned.jpegsave_buffer(Q: 92, strip: true) : turned.pngsave_buffer(strip: true),
          name: @name
        )
      rescue Vips::Error
        refuse("artwork.picture_damaged")
      end

      # Its pixels for print: [samples of the colours, how many colours, samples of the opacity or nil], a
      # byte each, row by row. profile: an IccProfile of a press in whose colours they are to be.
      def samples(profile: nil)
        picture = image.colourspace((image.bands < 3) ? :"b-w" : :srgb).cast(:uchar)
        alpha = picture.has_alpha? ? picture[picture.bands - 1] : nil
        colours = alpha ? picture.extract_band(0, n: picture.bands - 1) : picture
        colours = profile.device(colours.colourspace(:srgb)) if profile
        [colours.write_to_memory, colours.bands, alpha&.write_to_memory]
      end

      # JPEG data that PDF takes as it is (ISO 32000-2, DCTDecode): how many colours, or nil.
      def jpeg_colours = (media == "image/jpeg") ? image.bands : nil

      # A smaller one, at most so many pixels on its longer side, for small pictures of a page.
      def reduced(most)
        return self if [width_px, height_px].max <= most
        small = Vips::Image.thumbnail_buffer(@bytes, most, height: most)
        self.class.new(
          small.has_alpha? ? small.pngsave_buffer(strip: true) : small.jpegsave_buffer(Q: 80, strip: true),
          name: @name
        )
      end

      # The same picture of so many pixels a row.
      def of_width(width)
        small = Vips::Image.thumbnail_buffer(@bytes, width, height: 1_000_000, size: :down)
        jpeg = media == "image/jpeg" && !small.has_alpha?
        self.class.new(
          jpeg ? small.jpegsave_buffer(Q: 92, strip: true) : small.pngsave_buffer(strip: true),
          name: @name
        )
      end

      private

      def refuse(code, **values) = raise(Refusal.new(code, name: @name, **values))

      def grouped(number) = Units::Number.grouped(number)

      # Only the head is read until pixels are asked for.
      def image
        @image ||= Vips::Image.new_from_buffer(@bytes, "")
      rescue Vips::Error
        refuse("artwork.picture_unreadable", format: (media == "image/png") ? "PNG" : "JPEG")
      end

      def upright? = !image.get_fields.include?("orientation") || image.get("orientation") == 1

      def plain? = (media == "image/png") || [1, 3].include?(image.bands)
    end
  end
end
