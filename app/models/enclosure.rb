# frozen_string_literal: true

module App
  # The bytes of a typeface or a picture that books carry, once for each content.
  class Enclosure < ActiveRecord::Base
    # Keeps bytes and returns their SHA-256. Those that are there already count as fresh: the sweep lets them be.
    def self.keep(bytes, media)
      content = TileLoom::Assets::Enclosures.content_of(bytes)
      row = {content: content, media: media, bytes: bytes, created_at: Time.now.utc}
      insert_all([row]) unless where(content: content).update_all(created_at: row[:created_at]).positive?
      content
    end

    # How the core gets at them.
    def self.reader = TileLoom::Assets::Enclosures.new { |content| where(content: content).pick(:bytes) }

    # The media type of a face by its first bytes.
    def self.font_media(bytes) = bytes.start_with?("OTTO") ? "font/otf" : "font/ttf"

    # A document, or a design, whose enclosures came with it: kept here, named by content alone.
    # enclosures: TileLoom::Assets::Enclosures that hold the bytes.
    def self.take_in(settings, enclosures) =
      settings.merge(TileLoom::Assets::Enclosures.entries(settings) { |entry, list| taken(list, entry, enclosures) })

    # The same with the bytes in it, to be carried away.
    def self.put_in(settings) =
      settings.merge(
        TileLoom::Assets::Enclosures.entries(settings) do |entry|
          TileLoom::Assets::Enclosures.with_bytes(entry, bytes_of(entry))
        end
      )

    def self.bytes_of(entry, enclosures = reader) = enclosures.bytes(TileLoom::Assets::Enclosure.new(entry))

    def self.taken(list, entry, enclosures)
      bytes = bytes_of(entry, enclosures)
      if list == "profiles"
        TileLoom::Artwork::IccProfile.new(bytes, name: "The profile “#{entry["title"]}”").for_press!
        media = "application/vnd.iccprofile"
      elsif list == "faces"
        TileLoom::Type::FontFile.new(bytes, name: "The typeface “#{entry["title"]}”")
        media = font_media(bytes)
      else
        raster = TileLoom::Artwork::Raster.new(bytes, name: "The picture “#{entry["title"]}”").settled
        bytes, media = raster.bytes, raster.media
      end
      entry.except("data", "file").merge("content" => keep(bytes, media))
    end
    private_class_method :taken
  end
end
