# frozen_string_literal: true

module TileLoom
  module Sandbox
    # None: where the system has nothing to offer. The network alone is taken away where that goes.
    class Unboxed
      def works? = true

      def tight? = false

      def command(command, **) = [*LimitedProcess.offline, *command]
    end
  end
end
