# frozen_string_literal: true

module App
  # The jobs, by the names that work is put into the queue by.
  module JobList
    ALL = {
      coarse_levels: CoarseLevelsJob,
      empty_bin: EmptyBinJob,
      far_picture: FarPictureJob,
      import_arrival: ImportArrivalJob,
      index_run: IndexRunJob,
      inspect_arrival: InspectArrivalJob,
      inspect_further: InspectFurtherJob,
      open_book: OpenBookJob,
      press_piece: PressPieceJob,
      print_run: PrintRunJob,
      reprojection: ReprojectionJob,
      start_book: StartBookJob,
      sweep: SweepJob,
      trace_contours: TraceContoursJob
    }.freeze
  end
end
