# frozen_string_literal: true

module App
  module Taken
    # The index with its cells, and what was done to them by hand.
    class WholeIndex
      def initialize(moment, _) = @moment = moment

      def on_ground? = true

      def cells? = true

      def document(now) = now.merge("index" => @moment.document["index"])

      def keep_cells(index) = index.keep(@moment.core_cells, with: @moment.generated_with)
    end
  end
end
