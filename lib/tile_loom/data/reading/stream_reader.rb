# frozen_string_literal: true

module TileLoom
  module Data
    # Reads features that GDAL hands on as a FlatGeobuf stream.
    class StreamReader < FeatureReader
      # A layer of fewer features is read in one process.
      MANY = 20_000

      # stream: called with a block, yields the stream; count: of the features that the file says it has, or nil; kinds:
      # name → type of the fields that are more than what they stream as ("date"); foreign: called with texts that are
      # not UTF-8, which it gives back as such; number: the name of the field that holds the number of each in the file,
      # which is none of its own, and what it is to be raised by, or nil where they are counted.
      def initialize(stream, count:, kinds:, foreign:, number: nil, **more)
        super(**more)
        @stream, @stated, @kinds, @foreign, @number = stream, count, kinds, foreign, number
      end

      def each_packed(processes: 1)
        return super if processes < 2 || @stated.to_i < MANY
        @count, @shown = 0, 0
        SharedReading
          .new(processes) { |first, bytes| share(first, bytes) }
          .each(shares) do |read|
            take(read)
            @shown += read.batch.length if read.batch
            yield read.batch if read.batch
          end
        count_missing
        finish
      end

      private

      # batch: a PackedBatch, or nil; count: of features that were looked at.
      Read = Struct.new(:batch, :count, :empty, :refused, :repairs, :remarks)
      private_constant :Read

      # Yields [how many features come before it, bytes of a stream].
      def shares
        Enumerator.new do |out|
          first = 0
          @stream.call do |stream|
            stream.each_share(BATCH) do |bytes, count|
              out << [first, bytes]
              first += count
            end
          end
        end
      end

      # In a process of its own: what it says of itself is that of this share alone.
      def share(first, bytes)
        [@refused, repairs, remarks].each(&:clear)
        @count, @empty, @shown = first, 0, 0
        batch, packed = [], nil
        each_of(FlatGeobuf.new(StringIO.new(bytes))) { |found| batch << found }
        pass_on(batch) { |items, shapes| packed = PackedBatch.of(items, shapes) }
        Read.new(packed, @count - first, @empty, @refused, repairs, remarks)
      end

      def take(read)
        @count += read.count
        @empty += read.empty
        @refused.concat(read.refused)
        repairs.concat(read.repairs)
        remarks.concat(read.remarks - remarks)
      end

      def originals(&block)
        @stream.call { |stream| each_of(stream, &block) }
        count_missing
      end

      def each_of(stream)
        stream.each do |wkb, attributes|
          @count += 1
          next @empty += 1 if wkb.nil?
          found = tolerant { original(wkb, attributes) }
          yield found if found
        end
      end

      # GDAL does not hand on those that have no geometry.
      def count_missing
        missing = @stated.to_i - @count
        return unless missing.positive?
        @empty += missing
        @count += missing
      end

      def original(wkb, attributes)
        number = number(attributes)
        item = Original.new(number, number, wkb, attributes)
        attributes.each do |key, value|
          fresh = value_of(value, key, item)
          attributes[key] = fresh unless fresh.equal?(value)
        end
        item.wkb = sound_shape(item)
        item
      end

      # The one that it has in the file, or how many came so far.
      def number(attributes)
        return @count unless @number
        own = attributes.delete(@number[0]).to_i + @number[1]
        own.between?(1, LARGEST_NUMBER) ? own : @count
      end

      def value_of(value, key, item)
        case value
        when Integer, nil, true, false
          value
        when Float
          # What is no number is no value.
          value.nan? ? nil : plain(value, key) { item.name }
        else
          text(value, @kinds[key], key, item)
        end
      end

      DAY = 10
      private_constant :DAY

      def text(value, kind, key, item)
        value = @foreign.call(value) unless value.valid_encoding?
        return value[0, DAY] if kind == "date"
        value = plain_json(value) if kind == "json"
        plain(value, key) { item.name }
      end

      # As it is written in all other attributes, whatever blanks it has.
      def plain_json(text)
        JSON.generate(JSON.parse(text, max_nesting: 60))
      rescue JSON::ParserError
        text
      end

      LEAST = {Geometry::Wkb::LINE => 2, Geometry::Wkb::POLYGON => 4}.freeze
      private_constant :LEAST

      # Its well-known binary, with closed rings; Refusal where it is no shape. Its box is known afterwards.
      def sound_shape(item)
        open = false
        sides = Geometry::Box::NO_SIDES
        Geometry::Wkb.walk(item.wkb, 0, 0) do |type, offset, count|
          numbers = item.wkb.unpack("E#{count * 2}", offset: offset)
          demand_finite(numbers, item)
          sides = Geometry::Box.widen(sides, numbers)
          next if type == Geometry::Wkb::POINT
          open = true if type == Geometry::Wkb::POLYGON && (numbers[0] != numbers[-2] || numbers[1] != numbers[-1])
          if count < LEAST.fetch(type) - ((open && count > 2) ? 1 : 0)
            short = (type == Geometry::Wkb::LINE) ? "data.line_too_short" : "data.ring_too_short"
            raise Refusal.new(short, name: item.name)
          end
        end
        item.box = sides.pack("E4")
        open ? closed(item.wkb) : item.wkb
      end

      def closed(wkb) =
        Geometry::Wkb.map_runs(wkb) do |type, run|
          (type == Geometry::Wkb::POLYGON && run[0, 2] != run[-2, 2]) ? run + run[0, 2] : run
        end

      # The sum is finite where all of them are, or nearly so.
      def demand_finite(numbers, item)
        return if numbers.sum.finite? || numbers.all?(&:finite?)
        raise Refusal.new("data.coordinates_no_pair", name: item.name)
      end
    end
  end
end
