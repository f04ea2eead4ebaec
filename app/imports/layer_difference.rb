# frozen_string_literal: true

require "digest"

module App
  # What another edition of a layer brought: which features appeared, vanished, changed, stayed. Features
  # are known again by an attribute that tells them apart in both editions, else by being the same.
  class LayerDifference
    # Attributes that are names by custom come first.
    LIKELY = /\A(fid|id|gid|uid|uuid|code|key|ref|number|no|name)\z/i
    NAMED = 5

    def initialize(before, after)
      @before, @after = [before, after].map { |layer| read(layer) }
    end

    # Sentences, the counts first.
    def sentences
      old, new = keyed(@before), keyed(@after)
      appeared, vanished = new.keys - old.keys, old.keys - new.keys
      changed = (old.keys & new.keys).reject { |key| old[key] == new[key] }
      same = new.length - appeared.length - changed.length
      [
        "#{appeared.length} added, #{vanished.length} removed, #{changed.length} changed, #{same} " \
          "unchanged#{" (matched by #{key})" if key}.",
        *list("Added", appeared),
        *list("Removed", vanished),
        *list("Changed", changed)
      ]
    end

    private

    Row = Struct.new(:properties, :shape)

    # The originals, as they came: another reference or a mended ring is no change of the data.
    def read(layer)
      [].tap do |all|
        layer.each_batch(5_000, :properties, :original) do |rows|
          all.concat(rows.map { |_, properties, original| Row.new(properties, Digest::MD5.digest(original.to_s)) })
        end
      end
    end

    def key
      return @key if defined?(@key)
      names = [@before, @after].map { |rows| rows.first&.properties.to_h.keys }.reduce(:&)
      @key =
        names
          .sort_by
          .with_index { |name, index| [name.match?(LIKELY) ? 0 : 1, index] }
          .find { |name| tells_apart?(name) }
    end

    def tells_apart?(name)
      [@before, @after].all? do |rows|
        values = rows.map { |row| row.properties[name] }
        values.none?(nil) && values.uniq.length == values.length
      end
    end

    # identity → what it is made of. Without an attribute that tells them apart the whole is the identity,
    # and equal ones are counted.
    def keyed(rows)
      return rows.to_h { |row| [row.properties[key], [row.properties, row.shape]] } if key
      seen = Hash.new(0)
      rows.to_h { |row| [row.properties, row.shape].then { |whole| [[whole, seen[whole] += 1], whole] } }
    end

    def list(title, keys)
      return [] if keys.empty? || !key
      named = keys.first(NAMED).join(", ")
      ["#{title}: #{named}#{" and #{keys.length - NAMED} more" if keys.length > NAMED}."]
    end
  end
end
