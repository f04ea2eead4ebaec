# frozen_string_literal: true

module TileLoom
  module Crs
    # PROJ's context of the current thread, silent: failures come back as errors, not on stderr,
    # and nothing is fetched from a network.
    module Context
      module_function

      # PROJ's texts are UTF-8, but come through FFI as plain bytes.
      def text(bytes) = bytes.to_s.dup.force_encoding(Encoding::UTF_8)

      def ready
        return if Thread.current.thread_variable_get(:tile_loom_proj_ready)
        context = Proj::Context.current
        context.log_level = :PJ_LOG_NONE
        context.network_enabled = false
        Thread.current.thread_variable_set(:tile_loom_proj_ready, true)
      end
    end
  end
end
