# frozen_string_literal: true

module TileLoom
  # What is kept for each thread, as objects of PROJ must be, which threads do not share.
  class PerThread
    # name: its own among all; most: entries, before all are dropped.
    def initialize(name, most:)
      @name, @most = :"tile_loom_#{name}", most
    end

    # What stands under the key, or what the block gives, which then does.
    def fetch(key)
      kept =
        Thread.current.thread_variable_get(@name) || {}.tap { |fresh| Thread.current.thread_variable_set(@name, fresh) }
      kept.clear if kept.size > @most
      kept[key] ||= yield
    end
  end
end
