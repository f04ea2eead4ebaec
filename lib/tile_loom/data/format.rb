# frozen_string_literal: true

module TileLoom
  module Data
    # A format of files of features. A kind of format is a file in formats/: it declares by which endings it is known,
    # which GDAL drivers read it (no others are there when it is opened, so that a file of another kind under a false
    # ending does not read), and how it is written where it is.
    class Format
      extend Values::Kind

      class << self
        # Of files that are sent, in lower case with the dot; of one on a disk with those that belong to it beside it.
        attr_reader :endings, :beside

        # Names of GDAL drivers.
        attr_reader :drivers

        # Endings of files of the same name that belong to one on a disk.
        def companions = []

        # A file with those that belong to it, as far as they are there.
        def files(file)
          stem = File.basename(file, ".*")
          folder = File.dirname(file)
          beside = companions.flat_map { |ending| [stem + ending, stem + ending.upcase] }
          [file, *beside.map { |name| File.join(folder, name) }.select { |path| File.file?(path) }]
        end

        # Of what is written: the ending of the file that GDAL writes (which tells it the format), the ending of the
        # download, the type (RFC 6838), and GDAL's name of what writes it, its last word.
        attr_reader :written, :ending, :type, :driver

        # zipped: the file is a zip archive that GDAL looks into, for data of this ending.
        def reads(*endings, drivers:, zipped: nil, beside: nil)
          @endings, @drivers, @zipped, @beside = endings, drivers, zipped, beside
        end

        def writes(ending, type:, driver:, as: ending)
          @ending, @type, @driver, @written = ending, type, driver, as
        end

        # What a file of it is called.
        def title_of_file = @zipped ? "zipped #{title}" : title

        def written? = !@written.nil?

        # Are its places in columns that have to be named?
        def table? = false

        # Does it hold longitudes and latitudes alone?
        def degrees? = false

        # Of a format in which a part of the features is found by a spatial index, or nearly as quickly: what a
        # feature's number in the file (GDAL's FID) is to be raised by to count from 1. nil of others.
        def first_number = nil

        # Options with which GDAL opens a file; columns: a Columns, for tables.
        def open_options(_columns = nil) = []

        # Options with which GDAL writes one. degree_places: decimals of longitude and latitude; shape: what a table
        # calls its well-known text.
        def layer_options(degree_places:, shape:) = []

        # The name under which GDAL opens the file. What is a zip archive is looked over first.
        def address(file)
          Sandbox::SqliteCheck.new(file).demand if Sandbox::SqliteCheck.sqlite?(file)
          return file if @beside && File.extname(file).casecmp?(@beside)
          return file unless @zipped || File.extname(file).casecmp?(".kmz")
          check = Sandbox::ZipCheck.new(file).demand
          return file unless @zipped
          folder = check.folder_of(@zipped) or
            raise Refusal.new(
              "data.zip_without_file",
              name: File.basename(file),
              ending: @zipped,
              format: title_of_file
            )
          ["/vsizip/#{file}", folder].reject(&:empty?).join("/")
        end
      end
    end
  end
end
