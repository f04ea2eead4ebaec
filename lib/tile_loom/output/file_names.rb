# frozen_string_literal: true

module TileLoom
  module Output
    # The names of the files that an order comes to: live text of each sheet, made legal on all systems, each only once.
    class FileNames
      # What no file may be called on some system.
      FORBIDDEN = %r{[/\\:*?"<>|\x00-\x1f\x7f]}
      RESERVED = /\A(con|prn|aux|nul|com\d|lpt\d)\z/i
      MOST_BYTES = 120

      # press: a Press.
      def initialize(press) = @press = press

      # {item → name with its ending} in the order of the items.
      def to_h = @names ||= unique

      # What of the names was changed, in sentences.
      def notices
        to_h
        [
          *@collisions.map do |name, items|
            "#{items.length} files would be called “#{name}” (#{Sentences.listed(items.map { |item| Press.name_of(item) }, MOST_NAMED)}); they are numbered -2, -3 …"
          end,
          *(@mended.zero? ? [] : ["#{counted(@mended)} signs that a name cannot have; they are replaced by -."])
        ]
      end

      # A text as a name of a file can be.
      def self.legal(text)
        name =
          text.unicode_normalize(:nfc).gsub(FORBIDDEN, "-").gsub(/\s+/, " ").strip.sub(/\A\.+/, "").sub(/[. ]+\z/, "")
        name = "#{name}_" if name.match?(RESERVED)
        name = name.byteslice(0, MOST_BYTES).scrub("") if name.bytesize > MOST_BYTES
        name.empty? ? "file" : name
      end

      private

      def unique
        ending = order.form.ending
        @mended = 0
        wanted = items.each_with_index.to_h { |item, index| [item, legal(item, index + 1)] }
        same = wanted.group_by { |_, name| name.downcase }.values.select { |pairs| pairs.length > 1 }
        @collisions = same.to_h { |pairs| [pairs.first.last + ending, pairs.map(&:first)] }
        taken = {}
        wanted.transform_values do |name|
          found = name
          number = 1
          found = "#{name}-#{number += 1}" while taken[found.downcase]
          taken[found.downcase] = true
          found + ending
        end
      end

      def order = @press.order

      # One for a form that is one file.
      def items = order.form.paged? ? [:book] : @press.items

      def legal(item, counter)
        text = @press.live_name(item, order.pattern, counter)
        @mended += 1 if text.match?(FORBIDDEN)
        self.class.legal(text)
      end

      MOST_NAMED = 4

      def counted(number) = (number == 1) ? "One name has" : "#{number} names have"
    end
  end
end
