# frozen_string_literal: true

require "digest"

module TileLoom
  module Output
    module Pdf
      # Pixels that a page alone has, as they stand in the file (ISO 32000-2, 8.9.5): they go along with the page.
      class Carried
        FILTERS = {jpeg: :DCTDecode, deflate: :FlateDecode}.freeze

        # pixels: Artwork::Pixels; profile: of a press, or nil.
        def self.of(pixels, profile: nil)
          streams = pixels.streams(profile: profile)
          new(
            {
              "width" => pixels.width_px,
              "height" => pixels.height_px,
              "filter" => streams.filter.to_s,
              "colours" => streams.colours,
              "masked" => !streams.mask.nil?
            },
            [streams.data, streams.mask].compact
          )
        end

        # head: what a page's head says of it; data: the bytes of its colours, and of its mask.
        def initialize(head, data)
          @head, @data = head, data
        end

        attr_reader :head, :data

        def content = @content ||= Digest::SHA256.hexdigest(data.reduce(+"".b, :<<))

        # The object's reference.
        def write(file)
          mask = head["masked"] ? file.add(members(1, :FlateDecode), stream: data[1]) : nil
          colours = members(head["colours"], FILTERS.fetch(head["filter"].to_sym))
          file.add(mask ? colours.merge(SMask: mask) : colours, stream: data[0])
        end

        private

        def members(colours, filter) = Image.members(*head.values_at("width", "height"), colours).merge(Filter: filter)
      end
    end
  end
end
