# frozen_string_literal: true

module TileLoom
  module Values
    # Of a class that is one kind of a thing (see Kinds).
    module Kind
      attr_reader :key, :title

      # key: as the document names it; title: as a menu does; rank: its place there.
      def kind(key, title, rank: 100)
        @key, @title, @rank = key, title, rank
      end

      def rank = @rank || 100
    end
  end
end
