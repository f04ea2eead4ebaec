# frozen_string_literal: true

module TileLoom
  module Data
    # Reads features into the book's reference, batch by batch. What is refused says which feature; what is repaired is
    # listed in `repairs`. What kind of file they come from is the concern of the classes below it, which answer
    # originals: yields the Original of each feature with a geometry, made within `tolerant`.
    class FeatureReader
      LONGEST_TEXT = 10_000
      LARGEST_NUMBER = 2_147_483_647
      LEAST_DEGREES = 1e-6
      # A batch is so many features, or fewer where their geometry is large.
      BATCH, BATCH_BYTES = 2_000, 4 * 1024**2

      # A feature as it came: its number, its place among the others from 1, its shape in its own reference. key: what
      # the file itself calls it, or nil; box: packed doubles of the box of its shape, where they are known.
      Original =
        Struct.new(:id, :place, :wkb, :attributes, :key, :box) do
          # What it is called in sentences.
          def name = FeatureReader.called(place, key || attributes["name"] || attributes["code"])
        end

      def self.called(place, key) = key ? "Feature #{place} (#{key.to_s[0, 40]})" : "Feature #{place}"

      # remarks, repairs, refused: sentences; those of features name them. Unless the reader is lenient, refused holds
      # those alone that the target cannot show.
      attr_reader :remarks, :source_reference

      def refused = @refused.map(&:message)

      # target: Crs::System of the book; reference: that of the features. lenient: a feature that cannot be read is
      # listed in `refused`, the others come in. remarks: a list to which whoever hands in the features may add
      # sentences. scale: see Reprojector; box: [west, south, east, north] of its data in their reference, where that is
      # known.
      def initialize(target:, reference:, lenient: false, remarks: [], scale: nil, box: nil)
        @target, @source_reference, @lenient, @remarks, @box = target, reference, lenient, remarks, box
        @reprojector = Reprojector.new(from: reference, to: target, scale: scale)
        @refused = []
        @empty = 0
      end

      # [west, south, east, north] of the data in degrees of their own datum; nil where that is not known.
      def degrees
        corners = @box || extent or return nil
        found =
          Crs::Transform.between(@source_reference, @source_reference.geographic).box(Geometry::Box.new(*corners)).to_a
        return nil unless found.all?(&:finite?) && found[1] >= -90 && found[3] <= 90
        # One point has no extent, for which PROJ would find nothing.
        west, south, east, north = found
        [west - LEAST_DEGREES, south - LEAST_DEGREES, east + LEAST_DEGREES, north + LEAST_DEGREES]
      rescue Refusal
        nil
      end

      def repairs = @reprojector.repairs

      # All that is to be told of what was read, in sentences.
      def notices = remarks + repairs + refused.map { |sentence| "Left out: #{sentence}" }

      # All features in the target reference; Refusal when there are none or one cannot be read.
      def features = each_batch.flat_map { |pairs| pairs.map(&:first) }

      # Yields arrays of [Feature in the target reference, Original in the file's own].
      def each_batch
        return enum_for(:each_batch) unless block_given?
        batches do |items, shapes|
          yield(
            items
              .zip(shapes)
              .map do |item, shape|
                sides = item.box.unpack("E4") if item.box && item.wkb.equal?(shape)
                [Feature.new(id: item.id, attributes: item.attributes, wkb: shape, sides: sides), item]
              end
          )
        end
      end

      # Yields PackedBatches of all. processes: so many share the work, where that pays.
      def each_packed(processes: 1) = batches { |items, shapes| yield PackedBatch.of(items, shapes) }

      private

      # Yields Originals and the shapes of each in the target.
      def batches(&block)
        @count, @shown, bytes, batch = 0, 0, 0, []
        originals do |found|
          batch << found
          bytes += found.wkb.bytesize
          next if batch.length < BATCH && bytes < BATCH_BYTES
          pass_on(batch, &block)
          bytes, batch = 0, []
        end
        pass_on(batch, &block)
        raise Refusal.new("data.no_features") if @count.zero?
        finish
      end

      def finish
        raise @refused.first if @shown.zero? && @refused.any? && !@lenient
        remark_empty
      end

      # [west, south, east, north] where the features themselves tell.
      def extent = nil

      def remark_empty
        if @empty.positive?
          @remarks << "#{@empty} #{(@empty == 1) ? "feature has" : "features have"} no geometry and " \
            "#{(@empty == 1) ? "is" : "are"} left out."
        end
        @empty = 0
      end

      # What cannot be shown does not keep the rest out.
      def pass_on(batch)
        items, shapes = [], []
        @reprojector.each(batch) do |item, result|
          next @refused << result if result.is_a?(Refusal)
          items << item
          shapes << result
        end
        @shown += items.length
        yield items, shapes unless items.empty?
      end

      # Lets a bad feature pass by where the reader is lenient.
      def tolerant
        yield
      rescue Refusal => error
        raise unless @lenient
        @refused << error
        nil
      end

      NO_TEXT = /[\u0000-\u0008\u000B\u000C\u000E-\u001F]/
      private_constant :NO_TEXT

      # NUL and its like are no text; half characters give way to U+FFFD.
      def sound(text)
        text = text.scrub unless text.valid_encoding?
        text.match?(NO_TEXT) ? text.gsub(NO_TEXT, "") : text
      end

      # A value as features have it. name: of the feature, as the block gives it.
      def plain(value, key, &name)
        case value
        when String
          sound(value)[0, LONGEST_TEXT]
        when Hash, Array
          JSON.generate(value)[0, LONGEST_TEXT]
        when Float
          value.finite? ? value : raise(Refusal.new("data.value_too_large", name: name.call, field: key))
        when Integer
          (value.bit_length < 64) ? value : plain(value.to_f, key, &name)
        else
          value
        end
      rescue JSON::GeneratorError
        raise Refusal.new("data.value_kind", name: name.call, field: key)
      end
    end
  end
end
