# frozen_string_literal: true

require "digest"
require "securerandom"

module App
  # A finished file of a run: whole, or not there. Its bytes are among the Finished.
  class PressFile < ActiveRecord::Base
    belongs_to :press_run

    # Keeps a file from a folder, and its row; one of the same name is replaced. Each has a place of its own, so that
    # two workers over the same file do not write into one another.
    def self.keep(run, path, position:)
      name = File.basename(path)
      place = "#{run.id}/#{position}-#{SecureRandom.hex(4)}#{File.extname(name)}"
      File.open(path, "rb") { |io| Finished.keep(io, place) }
      before = where(press_run_id: run.id, name: name).pick(:place)
      upsert(
        {
          press_run_id: run.id,
          position: position,
          name: name,
          place: place,
          media: media_of(name),
          bytes: File.size(path),
          sha256: Digest::SHA256.file(path).hexdigest
        }
      )
      Finished.drop(before) if before
    end

    def self.media_of(name)
      {
        ".pdf" => "application/pdf",
        ".png" => "image/png",
        ".jpg" => "image/jpeg",
        ".tif" => "image/tiff",
        ".webp" => "image/webp",
        ".svg" => "image/svg+xml",
        ".xml" => "application/xml",
        ".mbtiles" => "application/vnd.sqlite3",
        ".gpkg" => "application/geopackage+sqlite3"
      }.fetch(File.extname(name).downcase, "text/plain")
    end

    def pdf? = media == "application/pdf"

    def discard
      destroy!
      Finished.drop(place)
    end
  end
end
