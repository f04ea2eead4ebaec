# frozen_string_literal: true

module TileLoom
  module Values
    # True or false.
    class Flag < Type
      def schema(_definitions) = {"type" => "boolean"}
    end
  end
end
