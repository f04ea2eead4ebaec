# frozen_string_literal: true

module TileLoom
  module Values
    # Of a module whose classes are kinds of one thing, each declared by itself in a file of its own: adding a kind is
    # adding a file.
    module Kinds
      # Key → class, in the order of their ranks.
      def all
        names = constants
        return @all if @names == names
        found =
          names.map { |name| const_get(name) }.select { |kind| kind.is_a?(Class) && kind.respond_to?(:key) && kind.key }
        @all = found.sort_by { |kind| [kind.rank, kind.key] }.to_h { |kind| [kind.key, kind] }.freeze
        @names = names
        @all
      end

      def keys = all.keys

      # The class of a key, which the schema has checked.
      def of(key) = all.fetch(key)

      # A Type that is one of the keys.
      def choice = Choice.new { keys }

      # Parts that kinds declare for themselves, each once.
      def own_parts = all.each_value.reduce({}) { |parts, kind| parts.merge(kind.own_parts) }
    end
  end
end
