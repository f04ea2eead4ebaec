# frozen_string_literal: true

require "vips"

module TileLoom
  module Raster
    module Tiles
      # Background tiles as a raster that is drawn (see Prepared): each level of their matrices is one of its levels.
      # Tiles that are not there are clear, those that did not come are hatched, and both are counted.
      class Pyramid
        # Tiles of one picture.
        MOST = 6_000

        # fetch: a Fetch; title: of the layer.
        def initialize(source, fetch, title)
          @source, @fetch, @title = source, fetch, title
          # reason → how many tiles.
          @hatched, @clear = Hash.new(0), Hash.new(0)
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

        # What was missing, in sentences of one line; nil where nothing was.
        def notices
          found = [hatched_words, clear_words, stale_words].compact
          found.empty? ? nil : found.join(" ")
        end

        # Are some of them still on their way?
        def waiting? = @hatched.key?("still on the way")

        # Of one drawing.
        def afresh = self.class.new(@source, @fetch.afresh, @title)

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

        # nil beyond the matrix; the Refusal of an address that is not to be asked.
        def one(matrix, row, column)
          return nil unless row.between?(0, matrix.rows - 1) && column.between?(0, matrix.columns - 1)
          @fetch.get(@source.address(matrix, column, row))
        rescue Refusal => error
          error
        end

        def picture(found)
          return clear if found.nil?
          @asked = @asked.to_i + 1
          return hatched(found.message.chomp(".")) if found.is_a?(Refusal)
          @stale = @stale.to_i + 1 if found.stale
          return decoded(found.bytes) if found.tile?
          return not_there(found.status) if NOT_THERE.include?(found.status)
          hatched(SAID.fetch(found.status) { "the server said #{found.status}" })
        end

        NOT_THERE = [204, 404, 410].freeze
        SAID = {
          Fetch::SILENT => "the server does not answer",
          Fetch::AWAY => "the server does not answer",
          Fetch::WAITING => "still on the way",
          Fetch::ELSEWHERE => "the server leads to another host",
          Fetch::TOO_LARGE => "larger than a tile is",
          429 => "the server said 429, too many",
          503 => "the server said 503, busy"
        }.freeze

        # The server has none there.
        def not_there(status)
          @clear["the server said #{status}, none there"] += 1
          clear
        end

        # It may have one, but it is not here.
        def hatched(reason)
          @hatched[reason] += 1
          hatch
        end

        def hatched_words
          counted(@hatched) do |count, reasons|
            "#{count} of #{@asked} tiles of #{@title} did not come and are hatched (#{reasons})."
          end
        end

        def clear_words
          counted(@clear) do |count, reasons|
            "#{count} of #{@asked} tiles of #{@title} did not come and are left clear (#{reasons})."
          end
        end

        def stale_words
          return nil if @stale.to_i.zero?
          "#{@stale} of #{@asked} tiles of #{@title} are older than their server wants, as it did not answer."
        end

        def counted(reasons) = reasons.empty? ? nil : yield(reasons.values.sum, reasons.keys.join("; "))

        def clear = @clear_tile ||= Vips::Image.black(@source.tile_px, @source.tile_px, bands: 4).copy_memory

        # Grey lines from lower left to upper right, a sixteenth of a tile apart, which go on from tile to tile.
        def hatch
          @hatch ||=
            begin
              side = @source.tile_px
              step = [side / 16, 2].max
              places = Vips::Image.xyz(side, side)
              line = ((places[0] + places[1]) % step < [step / 8.0, 1].max).ifthenelse(HATCH_OPACITY, 0).cast(:uchar)
              (Vips::Image.black(side, side, bands: 3) + HATCH).cast(:uchar).bandjoin(line).copy_memory
            end
        end

        HATCH, HATCH_OPACITY = [110, 110, 110], 200

        def decoded(bytes)
          image = Vips::Image.new_from_buffer(bytes, "", fail_on: :error)
          side = @source.tile_px
          return hatched("of #{image.width} × #{image.height} pixels") if [image.width, image.height] != [side, side]
          image = image.colourspace(:srgb) unless image.interpretation == :srgb
          image = image.cast(:uchar)
          image = image.bandjoin(255) unless image.has_alpha?
          image.extract_band(0, n: 4).copy_memory
        rescue Vips::Error
          hatched("a damaged file")
        end
      end
    end
  end
end
