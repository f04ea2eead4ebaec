# frozen_string_literal: true

module TileLoom
  module Data
    # Reads features that GDAL hands on as a FlatGeobuf stream.
    class StreamReader < FeatureReader
      # stream: called with a block, yields [well-known binary or nil, {name → value}] of each feature; count: of those
      # that the file says it has, or nil; kinds: name → type of the fields that are more than what they stream as
      # ("date"); foreign: called with texts that are not UTF-8, which it gives back as such.
      def initialize(stream, count:, kinds:, foreign:, **more)
        super(**more)
        @stream, @stated, @kinds, @foreign = stream, count, kinds, foreign
      end

      private

      def originals
        @stream.call do |wkb, attributes|
          @count += 1
          next @empty += 1 if wkb.nil?
          found = tolerant { original(wkb, attributes) }
          yield found if found
        end
        # GDAL does not hand on those that have no geometry.
        missing = @stated.to_i - @count
        return unless missing.positive?
        @empty += missing
        @count += missing
      end

      def original(wkb, attributes)
        item = Original.new(@count, @count, wkb, attributes, nil)
        attributes.each do |key, value|
          fresh = value_of(value, key, item)
          attributes[key] = fresh unless fresh.equal?(value)
        end
        item.wkb = sound_shape(item)
        item
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

      # Its well-known binary, with closed rings; Refusal where it is no shape.
      def sound_shape(item)
        open = false
        Geometry::Wkb.walk(item.wkb, 0, 0) do |type, offset, count|
          demand_finite(item.wkb, offset, count, item)
          next if type == Geometry::Wkb::POINT
          open ||= type == Geometry::Wkb::POLYGON && open?(item.wkb, offset, count)
          if count < LEAST.fetch(type) - ((open && count > 2) ? 1 : 0)
            short = (type == Geometry::Wkb::LINE) ? "data.line_too_short" : "data.ring_too_short"
            raise Refusal.new(short, name: item.name)
          end
        end
        open ? closed(item.wkb) : item.wkb
      end

      def open?(bytes, offset, count) =
        count.positive? && bytes.byteslice(offset, 16) != bytes.byteslice(offset + (count - 1) * 16, 16)

      def closed(wkb) =
        Geometry::Wkb.map_runs(wkb) do |type, run|
          (type == Geometry::Wkb::POLYGON && run[0, 2] != run[-2, 2]) ? run + run[0, 2] : run
        end

      # The sum is finite where all of them are, or nearly so.
      def demand_finite(bytes, offset, count, item)
        numbers = bytes.unpack("E#{count * 2}", offset: offset)
        return if numbers.sum.finite? || numbers.all?(&:finite?)
        raise Refusal.new("data.coordinates_no_pair", name: item.name)
      end
    end
  end
end
