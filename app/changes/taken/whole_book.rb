# frozen_string_literal: true

module App
  module Taken
    # The book as it was, all of it.
    class WholeBook < WholeIndex
      def document(_now) = @moment.document
    end
  end
end
