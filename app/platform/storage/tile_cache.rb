# frozen_string_literal: true

module App
  # Tiles that came from servers, in the store. A process that answers requests does not wait for them: they are asked
  # for in threads of their own. Work in hand waits.
  module TileCache
    PATIENT = :tile_loom_patient
    private_constant :PATIENT

    module_function

    def folder = File.join(Store.folder, "tiles")

    # Answers get(url), see TileLoom::Raster::Tiles::Fetch.
    def fetch = (@promptly && !Thread.current.thread_variable_get(PATIENT)) ? prompt : server

    # seconds: that a drawing waits at most for what has not come yet.
    def prompt(seconds: TileLoom::Raster::Tiles::Prompt::SECONDS) =
      TileLoom::Raster::Tiles::Prompt.new(server, seconds: seconds)

    def server = TileLoom::Raster::Tiles::Fetch.new(folder)

    # This process answers requests.
    def promptly! = @promptly = true

    # Within the block this thread waits for all tiles.
    def patiently
      before = Thread.current.thread_variable_get(PATIENT)
      Thread.current.thread_variable_set(PATIENT, true)
      yield
    ensure
      Thread.current.thread_variable_set(PATIENT, before)
    end
  end
end
