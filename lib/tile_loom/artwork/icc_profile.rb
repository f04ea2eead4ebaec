# frozen_string_literal: true

require "tempfile"
require "vips"

module TileLoom
  module Artwork
    # A colour profile (ICC.1:2010) of an output device, and colours of the screen (sRGB) on that device, by Little CMS
    # through libvips: relative colorimetric with black point compensation.
    class IccProfile
      FOLDER = File.join(TileLoom::ROOT, "profiles")
      LARGEST_BYTES = 8 * 1024 * 1024
      # Header of the profile (ICC.1:2010, 7.2): class of device at 12, colour space at 16, signature at 36.
      SPACES = {"CMYK" => 4, "RGB " => 3, "GRAY" => 1}.freeze

      attr_reader :bytes, :name

      # Those that ship: srgb, coated.
      def self.shipped(key)
        (@shipped ||= {})[key] ||= new(File.binread(File.join(FOLDER, "#{key}.icc")), name: NAMES.fetch(key))
      end

      # A shipped one of a printing press.
      def self.of_press(key, path: nil)
        raise Refusal.new("artwork.no_such_profile", id: key, at: path) unless PRESSES.include?(key)
        shipped(key)
      end

      PRESSES = %w[coated].freeze
      NAMES = {"srgb" => "sRGB", "coated" => "Coated paper, offset (FOGRA39L)"}.freeze

      # bytes: of the file. Refusal for what is no profile of an output device.
      def initialize(bytes, name:)
        @bytes, @name = bytes.b, name
        refuse if @bytes.bytesize < 132 || @bytes.bytesize > LARGEST_BYTES || @bytes[36, 4] != "acsp" || !colours
        @converted = {}
      end

      # How many colours: 4 for CMYK, 3 for RGB.
      def colours = SPACES[@bytes[16, 4]]

      def cmyk? = colours == 4

      # Is it of a printer ("prtr"), as PDF/X asks?
      def of_printer? = @bytes[12, 4] == "prtr"

      # Refuses one that is not of a press in four colours.
      # One that is damaged within shows when a colour is converted.
      def for_press!
        raise Refusal.new("artwork.profile_of_no_press", name: @name) unless cmyk? && of_printer?
        of_screen(MIDDLE_GREY)
        self
      end

      MIDDLE_GREY = "#777777"

      # "#rrggbb" → shares 0…1 of the device's colours.
      def of_screen(hex)
        @converted[hex] ||= device(pixel(hex.delete_prefix("#").scan(/../).map(&:hex)))
          .getpoint(0, 0)
          .map { |level| (level / 255.0).round(4) }
      end

      # Shares 0…1 of the device's colours → "#rrggbb".
      def on_screen(shares)
        image = pixel(shares.map { |share| (share * 255).round }, :cmyk)
        levels = with_file { |path| image.icc_transform("srgb", input_profile: path, **MANNER).getpoint(0, 0) }
        "#" + levels.first(3).map { |level| format("%02x", level.round.clamp(0, 255)) }.join
      end

      # A Vips::Image in sRGB → one in the device's colours, a byte each.
      def device(image)
        with_file { |path| image.icc_transform(path, input_profile: "srgb", depth: 8, **MANNER).copy_memory }
      end

      private

      MANNER = {intent: :relative, black_point_compensation: true}.freeze

      def refuse = raise(Refusal.new("artwork.no_profile", name: @name))

      def pixel(levels, interpretation = :srgb) =
        Vips::Image.new_from_array([[0]]).new_from_image(levels).cast(:uchar).copy(interpretation: interpretation)

      # libvips takes a profile by the name of its file, which lies there as long as this does.
      def with_file
        @file ||=
          Tempfile
            .new(%w[profile .icc], binmode: true)
            .tap do |file|
              file.write(@bytes)
              file.flush
            end
        yield @file.path
      rescue Vips::Error
        refuse
      end
    end
  end
end
