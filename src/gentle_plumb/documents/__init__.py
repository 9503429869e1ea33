"""Documents that leave the program: the report, and the formats of a case and its fit."""

from .case_format import CaseDocument, case_schema
from .case_result import result_document, result_schema
from .client_archive import ZipArchives
from .image_processor import PillowImageProcessor
from .open_files import PaperFiles
from .report_pdf import TypstPdfRenderer
