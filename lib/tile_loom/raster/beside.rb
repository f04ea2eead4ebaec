# frozen_string_literal: true

module TileLoom
  module Raster
    # What lies beside a file of pixels and tells where they lie: its name is that of the file with another ending.
    module Beside
      module_function

      # a.png: a.pgw, a.prj, a.png.aux.xml, a.aux.xml
      def of?(other, name)
        return false if other == name || !Formats::BESIDE.include?(File.extname(other).downcase)
        stem = name.delete_suffix(File.extname(name)).downcase
        [stem, name.downcase].any? { |start| other.downcase.delete_suffix(ending(other)) == start }
      end

      # The path that it has beside a file at another path; nil for what nothing reads.
      def place(path, other)
        ending = ending(other)
        return if ending == ".xml"
        (ending == ".aux.xml") ? "#{path}.aux.xml" : "#{path.delete_suffix(File.extname(path))}#{ending}"
      end

      # Paths of what lies beside a file on a disk.
      def all(path)
        folder, name = File.split(path)
        Dir.children(folder).select { |other| of?(other, name) }.sort.map { |other| File.join(folder, other) }
      end

      def ending(name) = name.downcase[/\.aux\.xml\z/] || File.extname(name).downcase
      private_class_method :ending
    end
  end
end
