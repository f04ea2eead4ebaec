# frozen_string_literal: true

require "vips"

module TileLoom
  module Raster
    module Tiles
      # Background tiles as a raster that is drawn (see Prepared): each level of their matrices is one of its levels.
      # Tiles that are not there are clear, and counted.
      class Pyramid
        # Tiles of one picture.
        MOST = 6_000

        # fetch: a Fetch; title: of the layer.
        def initialize(source, fetch, title)
          @source, @fetch, @title = source, fetch, title
        end

        def facts
          @facts ||=
            Facts.new(
              {
                "kind" => "picture",
                "width" => finest.columns * @source.tile_px,
                "height" => finest.rows * @source.tile_px,
                "bands" => 3,
                "type" => "Byte",
                "transform" => [
                  @source.corner[0],
                  finest.units_per_px,
                  0.0,
                  @source.corner[1],
                  0.0,
                  -finest.units_per_px
                ],
                "crs" => @source.crs,
                "nodata" => nil,
                "masked" => true,
                "lossy" => true
              }
            )
        end

        def grid = facts.grid

        def levels
          @levels ||=
            @source.levels.reverse.each_with_index.map do |matrix, number|
              factor = matrix.units_per_px / finest.units_per_px
              size = [matrix.columns, matrix.rows].map { |count| count * @source.tile_px }
              Prepared::Level.new(number, *size, [factor, factor])
            end
        end

        # The coarsest level whose pixels meet those that are wanted.
        def level_for(step) = levels.reverse.find { |level| level.factor.max <= step * 1.001 } || levels.first

        def window(level, left, top, width, height)
          matrix = @source.levels.reverse[level.number]
          side = @source.tile_px
          columns = (left.div(side)..(left + width - 1).div(side)).to_a
          rows = (top.div(side)..(top + height - 1).div(side)).to_a
          demand(columns.length * rows.length)
          tiles = got(matrix, rows.product(columns))
          joined =
            Vips::Image.arrayjoin(rows.product(columns).map { |place| tiles.fetch(place) }, across: columns.length)
          part = joined.crop(left - columns.first * side, top - rows.first * side, width, height)
          [part.extract_band(0, n: 3).copy(interpretation: :srgb), part[3]]
        end

        # What was missing, in a sentence; nil where nothing was.
        def told
          return nil if @missing.to_i.zero? && @stale.to_i.zero?
          [
            (
              if @missing.to_i.positive?
                "#{@missing} of #{@asked} tiles of #{@title} did not come and are left clear (#{@reason})."
              end
            ),
            (
              if @stale.to_i.positive?
                "#{@stale} of #{@asked} tiles of #{@title} are older than their server wants, as it did not answer."
              end
            )
          ].compact.join(" ")
        end

        # Of one drawing.
        def afresh = self.class.new(@source, @fetch, @title)

        private

        def finest = @source.levels.last

        def demand(count)
          if count > MOST
            raise Refusal.new(
              "raster.tiles_too_many",
              title: @title,
              count: Units::Number.grouped(count),
              most: Units::Number.grouped(MOST)
            )
          end
        end

        # {[row, column] → Vips::Image of four bands}, by as many threads as a host is asked by.
        def got(matrix, places)
          queue = Queue.new
          places.each { |place| queue << place }
          queue.close
          found = {}
          lock = Mutex.new
          threads =
            Array.new(Fetch::CONNECTIONS) do
              Thread.new do
                Thread.current.report_on_exception = false
                while (place = queue.pop)
                  tile = one(matrix, *place)
                  lock.synchronize { found[place] = tile }
                end
              end
            end
          threads.each(&:value)
          places.to_h { |place| [place, picture(found[place])] }
        end

        # nil beyond the matrix.
        def one(matrix, row, column)
          return nil unless row.between?(0, matrix.rows - 1) && column.between?(0, matrix.columns - 1)
          @fetch.get(@source.address(matrix, column, row))
        end

        def picture(found)
          return clear if found.nil?
          @asked = @asked.to_i + 1
          @stale = @stale.to_i + 1 if found.stale
          found.tile? ? decoded(found.bytes) : missed("the server said #{said(found.status)}")
        end

        SAID = {
          0 => "nothing",
          404 => "404, none there",
          204 => "204, none there",
          429 => "429, too many",
          503 => "503, busy"
        }.freeze

        def said(status) = SAID.fetch(status, status.to_s)

        def missed(reason)
          @missing = @missing.to_i + 1
          @reason ||= reason
          clear
        end

        def clear = @clear ||= Vips::Image.black(@source.tile_px, @source.tile_px, bands: 4).copy_memory

        def decoded(bytes)
          image = Vips::Image.new_from_buffer(bytes, "", fail_on: :error)
          side = @source.tile_px
          return missed("of #{image.width} × #{image.height} pixels") if [image.width, image.height] != [side, side]
          image = image.colourspace(:srgb) unless image.interpretation == :srgb
          image = image.cast(:uchar)
          image = image.bandjoin(255) unless image.has_alpha?
          image.extract_band(0, n: 4).copy_memory
        rescue Vips::Error
          missed("a damaged file")
        end
      end
    end
  end
end
